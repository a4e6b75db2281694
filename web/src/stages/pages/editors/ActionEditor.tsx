import { FRAME } from '../../../bench/documents';
import { DestinationSelect } from '../DestinationSelect';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

type Action = { label: string; to: string };

/** Where a button or a link leads. Its label is written on the page itself. */
export function ActionEditor(props: EditorProps) {
  const { path, label, value, put, disabled, pageId, row } = props;
  if (!value) return <AddButton {...props} />;
  const action = value as Action;
  return (
    <div className="slot">
      <span>
        {label}: <b>{action.label}</b>
      </span>
      <DestinationSelect
        label={`Where ${action.label} leads`}
        to={action.to}
        disabled={disabled}
        nowhere="leads nowhere yet"
        but={row.document === FRAME ? undefined : pageId}
        put={(to) => put(`${path}/to`, to, `“${action.label}” leads elsewhere`)}
      />
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
