import { Editable } from '../../../parts/Editable';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';
import { LinesEditor } from './LinesEditor';

type Field = { label: string; kind: string; required: boolean; help: string };
type Form = { fields: Field[]; label: string; to: string };

const KINDS = ['text', 'email', 'tel', 'date', 'message'];

/** The fields of a form as lines: a label on each, its kind, and whether it must be filled in, parted by “|”. */
export const linesOfFields = (fields: Field[]) =>
  fields
    .map(({ label, kind, required, help }) => [label, kind, required ? 'required' : '', help].join(' | '))
    .map((line) => line.replace(/[\s|]+$/, ''))
    .join('\n');

/** What such lines say. A kind that there is not is a line of text. */
export const fieldsOf = (lines: string): Field[] =>
  lines
    .split('\n')
    .map((line) => line.split('|').map((part) => part.trim()))
    .filter(([label]) => label)
    .map(([label = '', kind = '', required = '', help = '']) => ({
      label,
      kind: KINDS.includes(kind) ? kind : 'text',
      required: required === 'required',
      help,
    }));

/** A form: its fields, the words on its button, and the address that it is sent to. */
export function FormEditor(props: EditorProps) {
  const { path, label, value, put, disabled } = props;
  if (!value) return <AddButton {...props} />;
  const form = value as Form;
  return (
    <>
      <LinesEditor
        {...props}
        written={linesOfFields(form.fields)}
        read={(lines) => ({ ...form, fields: fieldsOf(lines) })}
        hint={`One field a line: its label, then ${KINDS.join(', ')}, then “required”, parted by “|”.`}
      />
      <Editable
        label="Words on the button"
        disabled={disabled}
        value={form.label}
        onSave={(words) => put(`${path}/label`, words || form.label, `${label}: words on its button written`)}
      />
      <Editable
        label="Sent to"
        disabled={disabled}
        value={form.to.replace(/^mailto:/, '')}
        onSave={(to) => put(`${path}/to`, to ? `mailto:${to}` : '', `${label} is sent elsewhere`)}
      />
    </>
  );
}
