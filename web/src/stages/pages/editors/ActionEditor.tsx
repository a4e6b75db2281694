import { FRAME } from '../../../bench/documents';
import { Editable } from '../../../parts/Editable';
import { DestinationSelect } from '../DestinationSelect';
import { AddButton } from './AddButton';
import type { EditorProps } from './editor';

type Action = { label: string; to: string; drawn_as?: string; reason?: string };
const BUTTONS = { primary: 'first button', secondary: 'second button' } as const;

/** Where a button or a link leads. Its label is written on the page itself. */
export function ActionEditor(props: EditorProps) {
  const { path, label, value, put, disabled, pageId, row, slot } = props;
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
      {(slot.variant === 'primary' || slot.variant === 'secondary') && (
        <select
          aria-label={`How ${action.label} is drawn`}
          value={action.drawn_as ?? ''}
          disabled={disabled}
          onChange={(event) => {
            const drawn_as = event.target.value;
            const { label: own, to } = action;
            const said = drawn_as ? `“${own}” departs from the system` : `“${own}” follows the system again`;
            put(path, drawn_as ? { label: own, to, drawn_as, reason: action.reason ?? '' } : { label: own, to }, said);
          }}
        >
          <option value="">as the {BUTTONS[slot.variant]}</option>
          {(['primary', 'secondary'] as const)
            .filter((one) => one !== slot.variant)
            .map((one) => (
              <option key={one} value={one}>
                departs: as the {BUTTONS[one]}
              </option>
            ))}
        </select>
      )}
      {action.drawn_as && (
        <Editable
          label={`Why ${action.label} departs`}
          quietLabel
          disabled={disabled}
          value={action.reason ?? ''}
          placeholder="a reason stays with it"
          onSave={(reason) => put(`${path}/reason`, reason, `“${action.label}”: why it departs`)}
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
