import type { EditorProps } from './editor';

/** How many items there are. What they hold has editors of its own. */
export function ItemsEditor({ path, slot, value, disabled, put }: EditorProps) {
  const items = Array.isArray(value) ? value : [];
  const one = slot.one || slot.label;
  const blank = Array.isArray(slot.blank) ? (slot.blank[0] as unknown) : {};
  const add = () => (value ? put(`${path}/-`, blank, `${one} added`) : put(path, slot.blank, `${one} added`));
  return (
    <div className="slot-items">
      {items.length < slot.most && (
        <button type="button" className="slot-add" disabled={disabled} onClick={add}>
          + {one}
        </button>
      )}
      {items.length > 1 && (
        <button
          type="button"
          className="slot-add"
          disabled={disabled}
          onClick={() => put(`${path}/${items.length - 1}`, null, `Last ${one.toLowerCase()} taken out`)}
        >
          − Last {one.toLowerCase()}
        </button>
      )}
    </div>
  );
}
