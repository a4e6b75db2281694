import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';

export type OneOfProps = {
  title: string;
  field: 'organisation' | 'extent';
  chosen: string;
  options: readonly { id: string; name: string; about: string; label?: string }[];
};

/** A few answers to a question of the brief, of which one is chosen. `label` is what the history calls it. */
export function OneOf({ title, field, chosen, options }: OneOfProps) {
  const { canWrite } = useShown('canWrite');
  const { change } = useActions();
  return (
    <fieldset className="organisations" disabled={!canWrite}>
      <legend className="identity-head">{title}</legend>
      {options.map((one) => (
        <label key={one.id}>
          <input
            type="radio"
            name={field}
            checked={chosen === one.id}
            onChange={() =>
              void change(one.label ?? one.name, [
                { document: IDENTITY, patch: [{ op: 'add', path: `/${field}`, value: one.id }] },
              ])
            }
          />
          <span>
            <b>{one.name}</b>
            <span className="soft">{one.about}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
