import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

/** A text is written on the page itself; here it is only added. */
export function TextEditor(props: EditorProps) {
  return props.value ? null : <AddButton {...props} />;
}
