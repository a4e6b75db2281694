import { Editable } from '../../../parts/Editable';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

export type LinesEditorProps = EditorProps & {
  /** The value as the lines that are written. */
  written: string;
  /** The value that lines say. */
  read: (lines: string) => unknown;
  /** How it is written, in a few words. */
  hint: string;
};

/** What is written in several lines: a long text, a table. Without any it is taken out. */
export function LinesEditor({ written, read, hint, ...props }: LinesEditorProps) {
  const { path, label, value, put, disabled } = props;
  if (!value) return <AddButton {...props} />;
  return (
    <div className="slot slot-long">
      <Editable
        label={label}
        multiline
        disabled={disabled}
        value={written}
        onSave={(text) => put(path, text ? read(text) : null, text ? `${label} written` : `${label} taken out`)}
      />
      <small>{hint}</small>
    </div>
  );
}
