import { Editable } from '../../../parts/Editable';
import { FRAME } from '../../../bench/documents';
import { isPageLink, pageLink } from '../../../bench/documents';
import { useShown } from '../../../bench/useBench';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

type Action = { label: string; to: string };

/** Where a button or a link leads. Its label is written on the page itself. */
export function ActionEditor(props: EditorProps) {
  const { path, label, value, put, disabled, pageId, row } = props;
  const { brand } = useShown('brand');
  if (!value) return <AddButton {...props} />;
  const action = value as Action;
  const known = isPageLink(action.to) || action.to === '';
  return (
    <div className="slot">
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
          .filter((page) => page.body.id !== pageId || row.document === FRAME)
          .map((page) => (
            <option key={page.body.id} value={pageLink(page.body.id)}>
              {page.body.name}
            </option>
          ))}
        {known && action.to && !brand.pages.some((page) => pageLink(page.body.id) === action.to) && (
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
