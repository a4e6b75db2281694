import { useState } from 'react';
import { client, unwrap, type FurtherLanguage, type LanguageLine } from '../../api/client';
import { useTexts } from '../../api/languages';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { Waiting } from '../../parts/Waiting';
import { InLanguage } from './InLanguage';
import { TextRow } from './TextRow';

export const SHOWN = {
  waiting: 'To do',
  look: 'To look at',
  all: 'All',
} as const;
type Shown = keyof typeof SHOWN;
const FEW = 4; // findings that are shown at once

/** Whether a text is to be looked at: it was changed since it was translated, or its translation lost something. */
const looks = (line: LanguageLine) => line.state === 'older' || line.lacks.length > 0;

export const shownBy = (line: LanguageLine, by: Shown): boolean =>
  by === 'all' || (by === 'waiting' ? line.state === 'missing' : looks(line));

/** Every text of the site beside what it is in one language. */
export function LanguageTexts({ card }: { card: FurtherLanguage }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { write, report } = useActions();
  const found = useTexts(brand, card.code);
  const [by, setBy] = useState<Shown>('all');
  const [page, setPage] = useState('');
  const [seen, setSeen] = useState(false);
  const [all, setAll] = useState(false);
  // What was just said shows at once, until the answer tells how it is.
  const [said, setSaid] = useState<{ published: boolean; was: boolean } | null>(null);
  if (!found.data) return <Waiting error={found.error ?? undefined} retry={() => void found.refetch()} />;
  const { lines, findings, published } = found.data;
  const path = { params: { path: { brand_id: brand.id, code: card.code } } };
  const tell = async (ask: Parameters<typeof write>[0]) => {
    try {
      await write(ask, (answer) => answer as never);
      return true;
    } catch (problem) {
      report(problem);
      return false;
    }
  };
  const store = (body: { texts?: Record<string, string>; at?: Record<string, Record<string, string>> }) =>
    tell((headers) => unwrap(client.PUT('/api/brands/{brand_id}/languages/{code}/texts', { ...path, headers, body })));
  const publish = async (wanted: boolean) => {
    setSaid({ published: wanted, was: published });
    const done = await tell((headers) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/languages/{code}/texts', { ...path, headers, body: { published: wanted } }),
      ),
    );
    if (!done) setSaid(null);
  };
  const takeOut = () =>
    tell((headers) => unwrap(client.DELETE('/api/brands/{brand_id}/languages/{code}/texts', { ...path, headers })));
  const of = lines.filter((line) => !page || line.page === page);
  const rows = of.filter((line) => shownBy(line, by));
  const waits = lines.filter((line) => line.state === 'missing').length;
  const stops = findings.filter((one) => one.stops);
  const nameOf = (id: string) => brand.pages.find((one) => one.body.id === id)?.body.name ?? 'Every page';
  return (
    <>
      <div className="languages-state">
        <p role="status">
          {waits
            ? `${waits} of ${counted(lines.length, 'text')} ${waits === 1 ? 'waits' : 'wait'}`
            : `All ${lines.length} texts are there`}
          {stops.length > 0 && <span className="bad">, {stops.length} would stop a release</span>}
        </p>
        <label title="With the next release, in a folder of its own">
          <input
            type="checkbox"
            checked={said?.was === published ? said.published : published}
            disabled={!canWrite}
            onChange={(event) => void publish(event.target.checked)}
          />{' '}
          published
        </label>
        <div role="group" aria-label="Show">
          {(Object.keys(SHOWN) as Shown[]).map((one) => (
            <button
              key={one}
              type="button"
              className="width-toggle"
              aria-pressed={by === one}
              onClick={() => setBy(one)}
            >
              {SHOWN[one]} {of.filter((line) => shownBy(line, one)).length}
            </button>
          ))}
        </div>
        <select aria-label="Page" value={page} onChange={(event) => setPage(event.target.value)}>
          <option value="">all pages</option>
          {brand.pages.map(({ body }) => (
            <option key={body.id} value={body.id}>
              {body.name}
            </option>
          ))}
        </select>
        <button type="button" className="quiet-action" aria-pressed={seen} onClick={() => setSeen(!seen)}>
          {seen ? 'See the texts' : 'See the page'}
        </button>
        <button type="button" className="quiet-action" disabled={!canWrite} onClick={() => void takeOut()}>
          Take {card.name} out
        </button>
      </div>
      {stops.length > 0 && (
        <ul className="languages-findings">
          {(all ? stops : stops.slice(0, FEW)).map((one, index) => (
            <li key={index}>
              <b>{nameOf(one.page)}</b> {one.message}
            </li>
          ))}
          {stops.length > FEW && (
            <li>
              <button type="button" className="link" aria-expanded={all} onClick={() => setAll(!all)}>
                {all ? 'fewer' : `${stops.length - FEW} more`}
              </button>
            </li>
          )}
        </ul>
      )}
      {seen ? (
        <InLanguage code={card.code} name={card.name} page={page || (brand.pages[0]?.body.id ?? '')} />
      ) : (
        <div className="languages-texts" tabIndex={0} role="group" aria-label={`Texts in ${card.name}`}>
          {rows.length === 0 && (
            <p className="languages-none">Nothing here. {by !== 'all' && 'Everything of it is done.'}</p>
          )}
          <ol>
            {rows.map((line, index) => (
              <TextRow
                key={line.source}
                line={line}
                own={brand.identity.body.language ?? 'en-GB'}
                code={card.code}
                heading={line.page !== rows[index - 1]?.page || index === 0 ? nameOf(line.page) : ''}
                disabled={!canWrite}
                put={(text) => store({ texts: { [line.source]: text } })}
                putAt={(place, text) => void store({ at: { [line.source]: { [place]: text } } })}
                nameOf={nameOf}
              />
            ))}
          </ol>
        </div>
      )}
    </>
  );
}
