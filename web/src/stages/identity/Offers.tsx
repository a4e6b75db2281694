import { pointer } from '../../api/client';
import { Editable } from '../../parts/Editable';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** What the brand offers, one line each, with an empty line at the end for the next. */
export function Offers() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const offers = brand.identity.body.offers ?? [];
  const patch = (label: string, op: 'add' | 'replace' | 'remove', path: string, value?: unknown) =>
    void change(label, [{ document: IDENTITY, patch: [{ op, path, value }] }]);
  return (
    <div className="offers">
      <h3 className="identity-head">What it offers</h3>
      <ul>
        {offers.map((offer, index) => (
          <li key={index}>
            <Editable
              label={`Name of offer ${index + 1}`}
              quietLabel
              className="is-offer"
              disabled={!canWrite}
              value={offer.name}
              onSave={(value) =>
                value
                  ? patch('Offer renamed', 'replace', pointer('offers', index, 'name'), value)
                  : patch(`Offer “${offer.name}” taken out`, 'remove', pointer('offers', index))
              }
            />
            <Editable
              label={`Text of offer ${index + 1}`}
              quietLabel
              disabled={!canWrite}
              value={offer.text ?? ''}
              placeholder="A sentence on it"
              onSave={(value) => patch('Offer changed', 'replace', pointer('offers', index, 'text'), value)}
            />
            <button
              type="button"
              className="remove"
              disabled={!canWrite}
              aria-label={`Take out ${offer.name}`}
              onClick={() => patch(`Offer “${offer.name}” taken out`, 'remove', pointer('offers', index))}
            >
              ×
            </button>
          </li>
        ))}
        {offers.length < 12 && (
          <li key={`new-${offers.length}`}>
            <Editable
              label="Name of a new offer"
              quietLabel
              className="is-offer"
              disabled={!canWrite}
              value=""
              placeholder={offers.length ? 'Another offer' : 'The first offer'}
              onSave={(name) => patch(`Offer “${name}” added`, 'add', '/offers/-', { name, text: '' })}
            />
          </li>
        )}
      </ul>
    </div>
  );
}
