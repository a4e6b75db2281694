import { PictureSlot, type PictureValue } from '../PictureSlot';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

/** A picture: which, its description, what stays in sight. */
export function PictureEditor(props: EditorProps) {
  if (!props.value) return <AddButton {...props} />;
  const { path, label, value, put, disabled } = props;
  return <PictureSlot path={path} label={label} picture={value as PictureValue} put={put} disabled={disabled} />;
}
