import type { MenuItem } from '../../api/client';
import { FRAME } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Editable } from '../../parts/Editable';
import { DestinationSelect } from './DestinationSelect';

/** The menu: it follows the pages by itself, or has entries of one's own in two levels. */
export function MenuEditor() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const frame = brand.frame.body;
  const menu = (frame.menu ?? []) as MenuItem[];
  const put = (next: MenuItem[], label: string) =>
    void change(label, [{ document: FRAME, patch: [{ op: 'add', path: '/menu', value: next }] }]);
  const usual = brand.pages
    .slice(1)
    .filter((one) => one.body.menu ?? true)
    .map((one): MenuItem => ({ label: one.body.name, to: `page:${one.body.id}`, items: [] }));
  const own = menu.length > 0;
  return (
    <div className="menu-editor">
      <div className="menu-kind" role="radiogroup" aria-label="What the menu has">
        <label>
          <input
            type="radio"
            name="menu"
            checked={!own}
            disabled={!canWrite}
            onChange={() => put([], 'The menu follows the pages')}
          />
          the pages, in their order
        </label>
        <label>
          <input
            type="radio"
            name="menu"
            checked={own}
            disabled={!canWrite || !usual.length}
            onChange={() => put(usual, 'A menu of one’s own')}
          />
          entries of one’s own
        </label>
      </div>
      {own ? (
        <Entries items={menu} level={1} disabled={!canWrite} put={(next) => put(next, 'The menu changed')} />
      ) : (
        <ol className="menu-usual soft">
          {usual.map((one) => (
            <li key={one.to}>{one.label}</li>
          ))}
        </ol>
      )}
    </div>
  );
}

type EntriesProps = { items: MenuItem[]; level: 1 | 2; disabled: boolean; put: (items: MenuItem[]) => void };

function Entries({ items, level, disabled, put }: EntriesProps) {
  const with_ = (index: number, change: Partial<MenuItem>) =>
    put(items.map((one, place) => (place === index ? { ...one, ...change } : one)));
  const moved = (index: number, by: number) => {
    const next = [...items];
    next.splice(index + by, 0, ...next.splice(index, 1));
    put(next);
  };
  return (
    <>
      <ol className="menu-entries">
        {items.map((item, index) => {
          const under = item.items ?? [];
          return (
            <li key={`${item.label} ${item.to} ${index}`}>
              <div className="menu-entry">
                <Editable
                  label={`Name of entry ${index + 1}`}
                  quietLabel
                  disabled={disabled}
                  value={item.label}
                  onSave={(label) => label && with_(index, { label })}
                />
                <DestinationSelect
                  label={`Where ${item.label} leads`}
                  to={item.to ?? ''}
                  disabled={disabled}
                  nowhere={under.length ? 'only unfolds' : undefined}
                  put={(to) => with_(index, { to })}
                />
                <button
                  type="button"
                  className="quiet-action"
                  disabled={disabled || index === 0}
                  aria-label={`Move ${item.label} up`}
                  onClick={() => moved(index, -1)}
                >
                  ↑
                </button>
                <button
                  type="button"
                  className="quiet-action"
                  disabled={disabled || index === items.length - 1}
                  aria-label={`Move ${item.label} down`}
                  onClick={() => moved(index, 1)}
                >
                  ↓
                </button>
                {level === 1 && (
                  <button
                    type="button"
                    className="quiet-action"
                    disabled={disabled || index === 0}
                    title="Stands under the entry before it"
                    aria-label={`Put ${item.label} under the entry before it`}
                    onClick={() =>
                      put(
                        items.flatMap((one, place) =>
                          place === index
                            ? []
                            : place === index - 1
                              ? [{ ...one, items: [...(one.items ?? []), { ...item, items: [] }, ...under] }]
                              : [one],
                        ),
                      )
                    }
                  >
                    →
                  </button>
                )}
                <button
                  type="button"
                  className="remove"
                  disabled={disabled}
                  aria-label={`Take ${item.label} out of the menu`}
                  onClick={() => put(items.filter((_, place) => place !== index))}
                >
                  ×
                </button>
              </div>
              {under.length > 0 && (
                <Entries items={under} level={2} disabled={disabled} put={(next) => with_(index, { items: next })} />
              )}
            </li>
          );
        })}
      </ol>
      {level === 1 && (
        <button
          type="button"
          className="quiet-action"
          disabled={disabled || items.length >= 20}
          onClick={() => put([...items, { label: 'New entry', to: items[0]?.to ?? '', items: [] }])}
        >
          Add an entry
        </button>
      )}
    </>
  );
}
