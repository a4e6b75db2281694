import { PictureSlot, type PictureValue } from '../PictureSlot';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

/** A picture: which, its description, what stays in sight. */
export function PictureEditor(props: EditorProps) {
  if (!props.value) return <AddButton {...props} />;
  const { path, label, value, put, disabled, onPicture } = props;
  const picture = value as PictureValue;
  return <PictureSlot {...{ path, label, picture, put, disabled }} inSight={!!onPicture && path === 'picture'} />;
}
