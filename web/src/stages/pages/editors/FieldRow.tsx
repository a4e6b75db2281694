import { Editable } from '../../../parts/Editable';

export type Field = { label: string; kind: string; required: boolean; help: string; options?: string[] };

/** What a field asks for, by the name of its kind in core/site/slot_types/form.py. */
const KINDS = {
  text: 'a line of text',
  name: 'a name',
  email: 'a mail address',
  tel: 'a telephone number',
  date: 'a date',
  time: 'a time',
  number: 'a number',
  choice: 'one of several',
  tick: 'a tick',
  message: 'a message',
} as const;

export type FieldRowProps = {
  number: number;
  field: Field;
  first: boolean;
  last: boolean;
  only: boolean;
  put: (field: Field) => void;
  move: (by: number) => void;
  takeOut: () => void;
};

/** One field of a form: its label, what it asks for, whether it must be filled in, and what helps to. */
export function FieldRow({ number, field, first, last, only, put, move, takeOut }: FieldRowProps) {
  const named = field.label.replace(/\[\[|\]\]/g, '');
  return (
    <li>
      <div className="field-row">
        <Editable
          label={`Label of field ${number}`}
          quietLabel
          value={field.label}
          onSave={(label) => label && put({ ...field, label })}
        />
        <select
          aria-label={`What “${named}” asks for`}
          value={field.kind}
          onChange={(event) => {
            const kind = event.target.value;
            const { options, ...rest } = field;
            put(
              kind === 'choice'
                ? { ...rest, kind, options: options ?? ['[[First]]', '[[Second]]'] }
                : { ...rest, kind },
            );
          }}
        >
          {Object.entries(KINDS).map(([kind, name]) => (
            <option key={kind} value={kind}>
              {name}
            </option>
          ))}
        </select>
        <label>
          <input
            type="checkbox"
            checked={field.required}
            onChange={(event) => put({ ...field, required: event.target.checked })}
          />{' '}
          needed
        </label>
        <span className="field-acts">
          <button type="button" disabled={first} aria-label={`Move ${named} up`} onClick={() => move(-1)}>
            ↑
          </button>
          <button type="button" disabled={last} aria-label={`Move ${named} down`} onClick={() => move(1)}>
            ↓
          </button>
          <button type="button" disabled={only} aria-label={`Take out ${named}`} onClick={takeOut}>
            ×
          </button>
        </span>
      </div>
      {field.kind === 'choice' && (
        <Editable
          label={`What “${named}” offers, a line each`}
          quietLabel
          multiline
          value={(field.options ?? []).join('\n')}
          onSave={(text) => {
            const options = text
              .split('\n')
              .map((one) => one.trim())
              .filter(Boolean);
            if (options.length) put({ ...field, options });
          }}
        />
      )}
      <Editable
        label={`Help under “${named}”`}
        quietLabel
        className="field-help"
        value={field.help}
        placeholder="a help under it"
        onSave={(help) => put({ ...field, help })}
      />
    </li>
  );
}
