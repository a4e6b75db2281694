import type { Sources } from '../../../api/client';
import { useIntake } from '../files/useIntake';
import { CharacterAxes } from './CharacterAxes';
import { Extent } from './Extent';
import { LineList } from './LineList';
import { Organisations } from './Organisations';
import { QuestionList } from './QuestionList';

export type BriefFacetProps = { sources: Sources | undefined };

/** What the business is, its character and pages, beside what is still open and what is missing. */
export function BriefFacet({ sources }: BriefFacetProps) {
  const intake = useIntake();
  return (
    <div className="brief-facet">
      <div className="brief-words">
        <Organisations />
        <CharacterAxes said={sources?.character ?? ''} />
        <Extent />
        <LineList list="pages" title="Pages wanted in any case" placeholder="Name of a page" suggest />
        <LineList list="proof" title="What shows that it is good" placeholder="A number, a year, a certificate" />
        <LineList list="social" title="Elsewhere on the web" placeholder="https://…" />
        <LineList list="languages" title="Further languages" placeholder="cy, fr-CA" />
      </div>
      <div className="brief-open">
        {sources && <QuestionList sources={sources} intake={intake} />}
        <section aria-labelledby="missing-title">
          <h2 id="missing-title" className="identity-head">
            Missing, and what Formulon does instead
          </h2>
          <ul className="missing">
            {sources?.missing.map((one) => (
              <li key={one.what}>
                <b>{one.what}.</b> <span className="soft">{one.instead}</span>
              </li>
            ))}
          </ul>
          {sources?.missing.length === 0 && <p className="soft">Nothing that a site needs.</p>}
        </section>
      </div>
    </div>
  );
}
