import { Editable } from '../../../parts/Editable';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

/** A longer text, written with the marks of paragraphs, lists, links and emphasis. */
export function LongEditor(props: EditorProps) {
  const { path, label, value, put, disabled } = props;
  if (!value) return <AddButton {...props} />;
  return (
    <div className="slot slot-long">
      <Editable
        label={label}
        multiline
        disabled={disabled}
        value={String(value)}
        onSave={(text) => put(path, text || null, text ? `${label} written` : `${label} taken out`)}
      />
      <small>
        An empty line between paragraphs; “- ” or “1. ” begins a list; *stressed*, **strong**, [label](page:name).
      </small>
    </div>
  );
}
