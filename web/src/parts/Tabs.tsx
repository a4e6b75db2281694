export type Tab = { id: string; name: string };
export type TabsProps = { label: string; prefix: string; tabs: Tab[]; shown: string; show: (id: string) => void };

/** A row of tabs: arrows move along it. Each leads to the panel `<prefix>-panel`. */
export function Tabs({ label, prefix, tabs, shown, show }: TabsProps) {
  const move = (event: React.KeyboardEvent, index: number) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const next = tabs[(index + step + tabs.length) % tabs.length];
    if (!step || !next) return;
    show(next.id);
    document.getElementById(`${prefix}-${next.id}`)?.focus();
  };
  return (
    <div className="facets" role="tablist" aria-label={label}>
      {tabs.map((one, index) => (
        <button
          key={one.id}
          id={`${prefix}-${one.id}`}
          type="button"
          role="tab"
          aria-selected={shown === one.id}
          aria-controls={`${prefix}-panel`}
          tabIndex={shown === one.id ? 0 : -1}
          onClick={() => show(one.id)}
          onKeyDown={(event) => move(event, index)}
        >
          {one.name}
        </button>
      ))}
    </div>
  );
}
