import type { Fact, FactRequest } from '../../../api/client';
import { Editable } from '../../../parts/Editable';
import { FactFace } from './FactFace';
import { Places } from './Places';

export type FactRowProps = {
  fact: Fact;
  marked: boolean;
  disabled: boolean;
  mark: (on: boolean) => void;
  keys: (event: React.KeyboardEvent) => void;
  decide: (request: Partial<FactRequest> & Pick<FactRequest, 'action'>) => void;
};

const STATES = { open: 'undecided', accepted: 'accepted', locked: 'locked', rejected: 'rejected' };

/** One fact with its evidence. Where sources differ, their values stand side by side to choose from. */
export function FactRow({ fact, marked, disabled, mark, keys, decide }: FactRowProps) {
  const first = fact.state === 'open' ? [] : [fact.variants[0]?.value ?? ''];
  const taken = fact.taken?.length ? fact.taken : first;
  const name = `${fact.label}, ${fact.variants.map((one) => one.value).join(' or ')}`.slice(0, 140);
  const several = fact.variants.length > 1;
  const rename = fact.group === 'colors' || fact.group === 'pictures' || fact.group === 'marks';
  const locked = fact.state === 'locked';
  return (
    <li className={`fact is-${fact.state}`}>
      <input
        type="checkbox"
        className="fact-mark"
        aria-label={`${name}, ${STATES[fact.state ?? 'open']}`}
        checked={marked}
        onChange={(event) => mark(event.target.checked)}
        onKeyDown={keys}
      />
      <FactFace fact={fact} />
      <div className="fact-words">
        <div className="fact-line">
          {rename ? (
            <Editable
              label={`Name of ${fact.label}`}
              quietLabel
              className="is-fact-name"
              disabled={disabled || locked || !fact.usable}
              value={fact.label}
              onSave={(value) => value && decide({ action: 'accept', name: value })}
            />
          ) : (
            <b>{fact.label}</b>
          )}
          {!several && fact.group !== 'texts' && (
            <span className={fact.group === 'colors' ? 'mono' : undefined}>
              {(fact.group === 'colors' || fact.group === 'words') && !locked ? (
                <Editable
                  label={`Value of ${fact.label}`}
                  quietLabel
                  disabled={disabled}
                  value={taken[0] ?? fact.variants[0]?.value ?? ''}
                  onSave={(value) => value && decide({ action: 'accept', values: [value] })}
                />
              ) : fact.group === 'gradients' ? null : (
                (taken[0] ?? fact.variants[0]?.value)
              )}
            </span>
          )}
          {fact.role && <span className="soft">{fact.role}</span>}
        </div>
        {several ? (
          <div className="fact-variants" role="group" aria-label={`Values of ${fact.label}`}>
            {fact.variants.map((one) => (
              <div key={one.value} className={taken.includes(one.value) ? 'variant is-taken' : 'variant'}>
                {fact.group === 'colors' && <i style={{ background: one.value }} />}
                <button
                  type="button"
                  className="quiet-action"
                  aria-pressed={taken.includes(one.value)}
                  disabled={disabled || locked}
                  onClick={() => decide({ action: 'accept', values: [one.value] })}
                >
                  <span className={fact.group === 'colors' ? 'mono' : undefined}>{one.value}</span>
                </button>
                <Places evidence={one.evidence} />
              </div>
            ))}
            {fact.group === 'colors' && (
              <button
                type="button"
                className="link"
                disabled={disabled || locked}
                onClick={() => decide({ action: 'accept', values: fact.variants.slice(0, 2).map((one) => one.value) })}
              >
                keep both
              </button>
            )}
          </div>
        ) : (
          <Places evidence={fact.variants[0]?.evidence ?? []} />
        )}
        {(fact.data?.['print'] as string[] | undefined)?.length ? (
          <p className="soft fact-places">For print: {(fact.data?.['print'] as string[]).join(', ')}</p>
        ) : null}
        {fact.note && <p className="fact-note">{fact.note}</p>}
      </div>
      <span className="fact-sure" title="How sure, from its sources">
        {Math.floor(fact.sure * 100)} %
      </span>
      <span className="fact-state">{STATES[fact.state ?? 'open']}</span>
      <span className="fact-actions">
        {fact.usable && fact.state !== 'accepted' && !locked && (
          <button
            type="button"
            className="quiet-action"
            disabled={disabled}
            aria-label={`Accept ${fact.label}`}
            onClick={() => decide({ action: 'accept' })}
          >
            Accept
          </button>
        )}
        {fact.group === 'colors' && (
          <button
            type="button"
            className="quiet-action"
            disabled={disabled}
            aria-label={`${locked ? 'Unlock' : 'Lock'} ${fact.label}`}
            onClick={() => decide({ action: locked ? 'unlock' : 'lock' })}
          >
            {locked ? 'Unlock' : 'Lock'}
          </button>
        )}
        {fact.state === 'open' ? (
          <button
            type="button"
            className="quiet-action"
            disabled={disabled}
            aria-label={`Reject ${fact.label}`}
            onClick={() => decide({ action: 'reject' })}
          >
            Reject
          </button>
        ) : (
          !locked && (
            <button
              type="button"
              className="link soft"
              disabled={disabled}
              aria-label={`open again: ${fact.label}`}
              onClick={() => decide({ action: 'reopen' })}
            >
              open again
            </button>
          )
        )}
      </span>
    </li>
  );
}
