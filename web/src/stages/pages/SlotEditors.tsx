import { pointer, type Library } from '../../api/client';
import { Editable } from '../../parts/Editable';
import { useBench, type Bench } from '../../shell/bench';
import { PictureSlot, type PictureValue } from './PictureSlot';
import { slotParts, type Row } from './rows';

export type SlotEditorsProps = {
  row: Row;
  kind: Library['kinds'][number] | undefined;
  change: Bench['change'];
  disabled: boolean;
  pageId: string;
};

type Action = { label: string; to: string };
type Found = { path: string; label: string; type: string; value: unknown };

/** Every action and picture of a section, and its empty text slots, items included. */
function slotsOf(row: Row, kind: SlotEditorsProps['kind']): Found[] {
  const content = row.section.content ?? {};
  const found: Found[] = [];
  for (const slot of kind?.slots ?? []) {
    const [base = '', inner] = slot.path.split('/');
    if (inner) {
      const items = content[base];
      if (Array.isArray(items))
        items.forEach((item: Record<string, unknown>, index) =>
          found.push({
            path: `${base}/${index}/${inner}`,
            label: `${slot.label} ${index + 1}`,
            type: slot.type,
            value: item[inner],
          }),
        );
    } else if (slot.type !== 'items') found.push({ ...slot, value: content[slot.path] });
  }
  return found;
}

/** What cannot be edited on the page itself: destinations, pictures, and slots that are empty. */
export function SlotEditors({ row, kind, change, disabled, pageId }: SlotEditorsProps) {
  const { brand } = useBench();
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
  const slots = slotsOf(row, kind);
  const items = row.section.content?.['items'];
  return (
    <div className="slots">
      {slots.map(({ path, label, type, value }) => {
        if (type === 'action') {
          const action = value as Action | undefined;
          if (!action)
            return (
              <button
                key={path}
                type="button"
                className="slot-add"
                disabled={disabled}
                onClick={() => put(path, { label: label, to: '' }, `${label} added`)}
              >
                + {label}
              </button>
            );
          const known = action.to.startsWith('page:') || action.to === '';
          return (
            <div className="slot" key={path}>
              <span>
                {label}: <b>{action.label}</b>
              </span>
              <select
                aria-label={`Where ${action.label} leads`}
                value={known ? action.to : 'address'}
                disabled={disabled}
                onChange={(event) => {
                  const to = event.target.value === 'address' ? 'https://example.org/' : event.target.value;
                  put(`${path}/to`, to, `“${action.label}” leads elsewhere`);
                }}
              >
                <option value="">leads nowhere yet</option>
                {brand.pages
                  .filter((page) => page.body.id !== pageId || row.document === 'frame')
                  .map((page) => (
                    <option key={page.body.id} value={`page:${page.body.id}`}>
                      {page.body.name}
                    </option>
                  ))}
                {known && action.to && !brand.pages.some((page) => `page:${page.body.id}` === action.to) && (
                  <option value={action.to}>a page that is gone</option>
                )}
                <option value="address">an address…</option>
              </select>
              {!known && (
                <Editable
                  label="Address"
                  quietLabel
                  disabled={disabled}
                  value={action.to}
                  onSave={(to) => put(`${path}/to`, to, `“${action.label}” leads elsewhere`)}
                />
              )}
              <button
                type="button"
                className="remove"
                disabled={disabled}
                aria-label={`Take out ${action.label}`}
                onClick={() => put(path, null, `“${action.label}” taken out`)}
              >
                ×
              </button>
            </div>
          );
        }
        if (type === 'picture') {
          const picture = value as PictureValue | undefined;
          if (!picture)
            return (
              <button
                key={path}
                type="button"
                className="slot-add"
                disabled={disabled}
                onClick={() => put(path, { source: 'drawn:arcs/1', alt: '', decorative: true }, `${label} added`)}
              >
                + {label}
              </button>
            );
          return <PictureSlot key={path} path={path} label={label} picture={picture} put={put} disabled={disabled} />;
        }
        if (value) return null;
        return (
          <button
            key={path}
            type="button"
            className="slot-add"
            disabled={disabled}
            onClick={() => put(path, `[[${label}]]`, `${label} added`)}
          >
            + {label}
          </button>
        );
      })}
      {Array.isArray(items) && (
        <div className="slot-items">
          {items.length < 12 && (
            <button
              type="button"
              className="slot-add"
              disabled={disabled}
              onClick={() => put('items/-', { title: '[[Title]]', text: '[[Text]]' }, 'Card added')}
            >
              + Card
            </button>
          )}
          {items.length > 1 && (
            <button
              type="button"
              className="slot-add"
              disabled={disabled}
              onClick={() => put(`items/${items.length - 1}`, null, 'Last card taken out')}
            >
              − Last card
            </button>
          )}
        </div>
      )}
    </div>
  );
}
