export type TogglesProps<Id extends string> = {
  label: string;
  options: readonly { id: Id; name: string }[];
  shown: Id;
  show: (id: Id) => void;
};

/** A few views of one thing, of which one is shown. */
export function Toggles<Id extends string>({ label, options, shown, show }: TogglesProps<Id>) {
  return (
    <span role="group" aria-label={label}>
      {options.map((one) => (
        <button
          key={one.id}
          type="button"
          className="width-toggle"
          aria-pressed={shown === one.id}
          onClick={() => show(one.id)}
        >
          {one.name}
        </button>
      ))}
    </span>
  );
}
