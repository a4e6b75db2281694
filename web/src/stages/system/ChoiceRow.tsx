import { useShown } from '../../bench/useBench';

export type ChoiceRowProps = {
  label: string;
  options: { value: string; name: string }[];
  value: string;
  onChoose: (value: string, name: string) => void;
};

/** A name, and values of which one holds. */
export function ChoiceRow({ label, options, value, onChoose }: ChoiceRowProps) {
  const { canWrite } = useShown('canWrite');
  return (
    <div role="group" aria-label={label}>
      <span>{label}</span>
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          className="filter"
          disabled={!canWrite}
          aria-pressed={value === option.value}
          onClick={() => onChoose(option.value, option.name)}
        >
          {option.name}
        </button>
      ))}
    </div>
  );
}

/** Options whose names are their values. */
export const named = (...values: string[]) => values.map((value) => ({ value, name: value }));
