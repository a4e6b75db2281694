import type { Choices } from '../../api/client';
import { SECTION_GROUNDS } from '../../parts/grounds';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

type Recipe = NonNullable<Choices['rhythm']>;
type Ground = (typeof SECTION_GROUNDS)[number];
const FIRST: Recipe = { opening: 'deep', middle: ['paper', 'tint'], closing: 'accent', inner: null };

/** The sequence of grounds down a page: each page drawn as a strip, and a recipe for the whole site. */
export function Rhythm() {
  const { brand, choices, token, canWrite } = useShown('brand', 'choices', 'token', 'canWrite');
  const { change } = useActions();
  const recipe = choices.rhythm ?? null;
  const set = (label: string, value: Recipe | null) =>
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path: '/rhythm', value }] }]);
  const color = (ground: string) => token(`ground/${ground}/background`)?.css;
  const middle = recipe?.middle ?? FIRST.middle ?? [];
  const select = (label: string, value: string, put: (ground: Ground) => void) => (
    <label>
      {label}{' '}
      <select value={value} disabled={!canWrite} onChange={(event) => put(event.target.value as Ground)}>
        {SECTION_GROUNDS.map((ground) => (
          <option key={ground}>{ground}</option>
        ))}
      </select>
    </label>
  );
  return (
    <section className="rhythm" aria-labelledby="rhythm-title">
      <h2 id="rhythm-title">Rhythm of grounds down the pages</h2>
      <ul className="rhythm-strips">
        {brand.pages.map((page) => (
          <li key={page.body.id}>
            <span className="rhythm-strip">
              {page.body.sections?.map((section) => (
                <i
                  key={section.id}
                  className={recipe && section.departs ? 'departs' : undefined}
                  style={{ background: color(section.ground ?? 'paper') }}
                  title={`${section.id}: ${section.ground}${recipe && section.departs ? ', departs from the rhythm' : ''}`}
                />
              ))}
            </span>
            {page.body.name}
          </li>
        ))}
      </ul>
      {recipe ? (
        <div className="rhythm-recipe">
          {select('First', recipe.opening ?? 'deep', (opening) =>
            set(`Pages open on ${opening}`, { ...recipe, opening }),
          )}
          {select('on other pages', recipe.inner ?? recipe.opening ?? 'deep', (inner) =>
            set(`Other pages open on ${inner}`, { ...recipe, inner }),
          )}
          {middle.map((ground, index) => (
            <span key={index}>
              {select(index ? 'then' : 'Between', ground, (next) =>
                set(`Pages go on in ${next}`, {
                  ...recipe,
                  middle: middle.map((one, at) => (at === index ? next : one)),
                }),
              )}
            </span>
          ))}
          {select('Last', recipe.closing ?? 'accent', (closing) =>
            set(`Pages close on ${closing}`, { ...recipe, closing }),
          )}
          <button
            type="button"
            className="link"
            disabled={!canWrite || middle.length >= 6}
            onClick={() => set('One more ground in the rhythm', { ...recipe, middle: [...middle, 'paper'] })}
          >
            One more between
          </button>
          <button
            type="button"
            className="link"
            disabled={!canWrite || middle.length <= 1}
            onClick={() => set('One ground less in the rhythm', { ...recipe, middle: middle.slice(0, -1) })}
          >
            One less
          </button>
          <button type="button" className="link" disabled={!canWrite} onClick={() => set('No rhythm', null)}>
            Every section its own ground
          </button>
        </div>
      ) : (
        <p>
          <span className="soft">Every section has the ground that it was given. </span>
          <button
            type="button"
            className="quiet-action"
            disabled={!canWrite}
            onClick={() => set('A rhythm for all pages', FIRST)}
          >
            Set one rhythm for all pages
          </button>
        </p>
      )}
    </section>
  );
}
