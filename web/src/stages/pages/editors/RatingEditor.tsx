import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

const GIVEN = [5, 4.5, 4, 3.5, 3, 2.5, 2, 1.5, 1, 0.5];

/** How many stars of five were given; none where nobody gave any. */
export function RatingEditor(props: EditorProps) {
  const { path, label, value, disabled, put } = props;
  if (!value) return <AddButton {...props} />;
  return (
    <label className="slot slot-rating">
      <span>{label}</span>
      <select
        value={String(value)}
        disabled={disabled}
        onChange={(event) => {
          const given = Number(event.target.value);
          put(path, given || null, given ? `${label}: ${given} of 5` : `${label} taken out`);
        }}
      >
        {GIVEN.map((one) => (
          <option key={one} value={one}>
            {one} of 5
          </option>
        ))}
        <option value="0">none</option>
      </select>
    </label>
  );
}
