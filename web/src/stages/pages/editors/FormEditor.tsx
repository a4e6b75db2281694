import { useFormStarts } from '../../../api/pages';
import { useShown } from '../../../bench/useBench';
import { Editable } from '../../../parts/Editable';
import { pageLink } from '../../../bench/documents';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';
import { FieldRow, type Field } from './FieldRow';

type Form = { fields: Field[]; label: string; to: string; after?: string };
const MOST_FIELDS = 12;

/** Whom a form is sent to, as it is written: a mail address, or the whole address of a service. */
const writtenTo = (to: string) => to.replace(/^mailto:/, '');
const readTo = (text: string) => (!text || /^https?:/.test(text) ? text : `mailto:${text}`);

/** A form: its fields, the words on its button, whom it is sent to, and what follows. */
export function FormEditor(props: EditorProps) {
  const { path, label, value, put, disabled } = props;
  const { brand } = useShown('brand');
  const starts = useFormStarts(brand.id, brand.identity.revision).data?.starts ?? [];
  if (!value) return <AddButton {...props} />;
  const form = value as Form;
  const fields = (next: Field[], said: string) => put(`${path}/fields`, next, said);
  const moved = (index: number, by: number) => {
    const next = [...form.fields];
    next.splice(index + by, 0, ...next.splice(index, 1));
    fields(next, `“${form.fields[index]?.label}” moved`);
  };
  return (
    <fieldset className="form-editor" disabled={disabled}>
      <legend>{label}</legend>
      <div className="form-starts" role="group" aria-label="Begin with">
        Begin with{' '}
        {starts.map((one) => (
          <button
            key={one.id}
            type="button"
            className="quiet-action"
            onClick={() => put(path, { ...one.value, to: form.to || one.value['to'] }, `${one.name} as the form`)}
          >
            {one.name}
          </button>
        ))}
      </div>
      <ol className="form-fields" aria-label="Fields">
        {form.fields.map((field, index) => (
          <FieldRow
            key={`${index} ${field.label}`}
            number={index + 1}
            field={field}
            first={index === 0}
            last={index === form.fields.length - 1}
            only={form.fields.length === 1}
            put={(next) =>
              fields(
                form.fields.map((one, place) => (place === index ? next : one)),
                `Field “${next.label}” changed`,
              )
            }
            move={(by) => moved(index, by)}
            takeOut={() =>
              fields(
                form.fields.filter((_, place) => place !== index),
                `Field “${field.label}” taken out`,
              )
            }
          />
        ))}
      </ol>
      {form.fields.length < MOST_FIELDS && (
        <button
          type="button"
          className="slot-add"
          onClick={() =>
            put(
              `${path}/fields/-`,
              { label: `[[Field ${form.fields.length + 1}]]`, kind: 'text', required: false, help: '' },
              'Field added',
            )
          }
        >
          + Field
        </button>
      )}
      <Editable
        label="Words on the button"
        value={form.label}
        onSave={(words) => put(`${path}/label`, words || form.label, `${label}: words on its button written`)}
      />
      <Editable
        label="Sent to"
        value={writtenTo(form.to)}
        placeholder={brand.identity.body.contact?.email || 'a mail address'}
        onSave={(to) => put(`${path}/to`, readTo(to), `${label} is sent elsewhere`)}
      />
      <label className="form-after">
        Then shows
        <select
          value={form.after ?? ''}
          onChange={(event) => put(`${path}/after`, event.target.value, `${label}: what follows it`)}
        >
          <option value="">a word of thanks</option>
          {brand.pages.map(({ body }) => (
            <option key={body.id} value={pageLink(body.id)}>
              {body.name}
            </option>
          ))}
        </select>
      </label>
      <p className="soft">
        {/^https?:/.test(form.to)
          ? 'Another service takes it; nothing of it comes to the inbox.'
          : form.to
            ? 'It comes to the inbox, and by mail.'
            : 'It is sent to nobody yet, which stops a release.'}
      </p>
      <button type="button" className="slot-add" onClick={() => put(path, null, `${label} taken out`)}>
        − {label}
      </button>
    </fieldset>
  );
}
