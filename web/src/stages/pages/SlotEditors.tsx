import { pointer, type Library } from '../../api/client';
import type { Bench } from '../../bench/bench';
import { EDITORS } from './editors';
import type { SlotCard } from './editors/editor';
import { slotParts, type Row } from './rows';

export type SlotEditorsProps = {
  row: Row;
  kind: Library['kinds'][number] | undefined;
  change: Bench['change'];
  disabled: boolean;
  pageId: string;
};

type Found = { path: string; label: string; slot: SlotCard; value: unknown };

/** Every slot of a section with its value, those of items by their number. */
export function slotsOf(row: Row, kind: SlotEditorsProps['kind']): Found[] {
  const content = row.section.content ?? {};
  return (kind?.slots ?? []).flatMap((slot): Found[] => {
    const [base = '', inner] = slot.path.split('/');
    if (!inner) return [{ path: slot.path, label: slot.label, slot, value: content[slot.path] }];
    const items = content[base];
    if (!Array.isArray(items)) return [];
    return items.map((item: Record<string, unknown>, index) => {
      const at = { path: `${base}/${index}/${inner}`, label: `${slot.label} ${index + 1}` };
      return { ...at, slot, value: item[inner] };
    });
  });
}

/** What cannot be edited on the page itself: destinations, pictures, tables, and slots that are empty. */
export function SlotEditors({ row, kind, change, disabled, pageId }: SlotEditorsProps) {
  const put = (slot: string, value: unknown, label: string) =>
    void change(label, [
      {
        document: row.document,
        patch: [
          value === null
            ? { op: 'remove', path: pointer(...row.base, 'content', ...slotParts(slot)) }
            : { op: 'add', path: pointer(...row.base, 'content', ...slotParts(slot)), value },
        ],
      },
    ]);
  const shows = kind?.layouts.find((one) => one.id === row.section.layout)?.shows;
  const all = slotsOf(row, kind);
  const onPicture = kind?.layouts.find((one) => one.id === row.section.layout)?.on_picture ?? false;
  const shown = all.filter((one) => !shows || shows.includes(one.slot.path));
  const kept = all.filter((one) => !shown.includes(one) && one.value);
  return (
    <div className="slots">
      {kept.length > 0 && (
        <p className="slots-kept">Kept for layouts that show it: {kept.map((one) => one.label).join(', ')}.</p>
      )}
      {shown.map((found) => {
        const Editor = EDITORS[found.slot.type];
        const props = { ...found, row, pageId, onPicture, disabled, put };
        return Editor ? <Editor key={found.path} {...props} /> : <NoEditor key={found.path} label={found.label} />;
      })}
    </div>
  );
}

/** A slot of a type that this interface is older than. */
function NoEditor({ label }: { label: string }) {
  return <p className="slot">{label} cannot be edited here: reload the studio.</p>;
}
