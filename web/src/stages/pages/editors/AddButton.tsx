import type { EditorProps } from './editor';

export type AddButtonProps = Pick<EditorProps, 'path' | 'label' | 'slot' | 'disabled' | 'put'>;

/** Fills an empty slot with what shows that it is still to be written. */
export function AddButton({ path, label, slot, disabled, put }: AddButtonProps) {
  return (
    <button
      type="button"
      className="slot-add"
      disabled={disabled}
      onClick={() => put(path, slot.blank, `${label} added`)}
    >
      + {label}
    </button>
  );
}
