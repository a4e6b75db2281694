import { Link } from 'react-router';
import type { components } from '../../api/schema';
import { useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';

export type Gate = components['schemas']['LanguageGate'];

/** Whether a language holds a release back. */
export const holds = (gate: Gate) => gate.missing > 0 || gate.stops.length > 0;

/** What holds a release back in the other languages of the site, each with the way to its texts. */
export function LanguageGates({ gates }: { gates: Gate[] }) {
  const { brand } = useShown('brand');
  if (!gates.length) return null;
  const nameOf = (page: string) => brand.pages.find((one) => one.body.id === page)?.body.name ?? page;
  return (
    <section className="language-gates" aria-labelledby="language-gates">
      <h2 id="language-gates">In other languages</h2>
      {gates.map((gate) => (
        <div key={gate.code}>
          <p>
            <b lang={gate.code}>{gate.name}</b>{' '}
            {holds(gate) ? (
              <span className="bad">
                {[
                  gate.missing ? `${counted(gate.missing, 'text')} to translate` : '',
                  gate.stops.length ? `${counted(gate.stops.length, 'finding')} to mend` : '',
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            ) : (
              <span className="soft">nothing stops it</span>
            )}
            {gate.notes > 0 && <span className="soft">, {counted(gate.notes, 'note')}</span>}
          </p>
          {gate.stops.length > 0 && (
            <ul>
              {gate.stops.map((one, index) => (
                <li key={index}>
                  <b>{nameOf(one.page)}</b> {one.message}
                </li>
              ))}
            </ul>
          )}
          <Link className="quiet-action" to={`/brands/${brand.id}/pages?view=languages&language=${gate.code}`}>
            Go to its texts
          </Link>
        </div>
      ))}
    </section>
  );
}
