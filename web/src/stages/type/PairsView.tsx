import { useLibrary, useType } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { IDENTITY, stampOf } from '../../bench/documents';
import { familiesOf } from './families';

/** Pairs of typefaces for the brand’s character, best first, each set in the brand’s own words, with the reasons. */
export function PairsView() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const type = useType(brand.id, stampOf(brand));
  const identity = brand.identity.body;
  const families = familiesOf(library.data, identity.fonts);
  const name = (id: string) => families.find((one) => one.id === id)?.name ?? id;
  const decided = Object.values(identity.character ?? {}).some((value) => value !== null);
  const take = (heading: string, body: string) =>
    void change(`${name(heading)} with ${name(body)}`, [
      {
        document: IDENTITY,
        patch: [
          { op: 'replace', path: '/typefaces/heading', value: heading },
          { op: 'replace', path: '/typefaces/body', value: body },
        ],
      },
    ]);
  if (!type.data) return <p className="soft">Measuring…</p>;
  return (
    <>
      <p className="soft">
        {decided
          ? 'By the character in the brief and by what was measured on the outlines.'
          : 'The brief says nothing of the brand’s character yet, so these are pairs that sit well together. Set its five axes in the brief, and they follow.'}
      </p>
      {!type.data.pairs.length && (
        <p>
          No typeface of the library has the letters of all languages of the site. Add the brand’s own in the library.
        </p>
      )}
      <ol className="pairs">
        {type.data.pairs.map((pair) => {
          const used = identity.typefaces?.heading === pair.heading && identity.typefaces?.body === pair.body;
          return (
            <li key={pair.heading} className={used ? 'is-used' : undefined}>
              <p className="pair-heading" style={{ fontFamily: `"${name(pair.heading)}"` }}>
                {identity.strapline || identity.name}
              </p>
              <p className="pair-body" style={{ fontFamily: `"${name(pair.body)}"` }}>
                {identity.does || 'What the brand does, in its own words, as visitors will read it.'}
              </p>
              <div className="pair-why">
                <p className="pair-names">
                  <b>{name(pair.heading)}</b> with <b>{name(pair.body)}</b>
                  {used ? (
                    <span className="soft"> · in use</span>
                  ) : (
                    <button
                      type="button"
                      className="quiet-action"
                      disabled={!canWrite}
                      aria-label={`Use ${name(pair.heading)} with ${name(pair.body)}`}
                      onClick={() => take(pair.heading, pair.body)}
                    >
                      Use
                    </button>
                  )}
                </p>
                <ul className="pair-reasons">
                  {pair.reasons.map((reason) => (
                    <li key={reason}>{reason}</li>
                  ))}
                </ul>
              </div>
            </li>
          );
        })}
      </ol>
    </>
  );
}
