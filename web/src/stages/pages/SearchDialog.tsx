import { useEffect, useId, useMemo, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { client, unwrap, type Change, type Occurrence } from '../../api/client';
import { useSearch } from '../../api/pages';
import { stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';

export type SearchDialogProps = { close: () => void; open: (page: string, section: string) => void };

const RESTS = 200; // ms without a key
const keyOf = (place: Occurrence) => `${place.document} ${place.path}`;

/** Words searched over the whole site, each place shown; and put in the place of others, in all of them or in some. */
export function SearchDialog({ close, open }: SearchDialogProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change, report, say } = useActions();
  const [words, setWords] = useState('');
  const [wanted, setWanted] = useState('');
  const [by, setBy] = useState('');
  const [cases, setCases] = useState(false);
  const [whole, setWhole] = useState(false);
  const [left, setLeft] = useState<Set<string>>(new Set());
  const ids = { title: useId(), words: useId(), by: useId() };
  useEffect(() => {
    const timer = setTimeout(() => setWanted(words), RESTS);
    return () => clearTimeout(timer);
  }, [words]);
  const found = useSearch(brand.id, { words: wanted, cases, whole }, stampOf(brand));
  const places = useMemo(() => (wanted.trim() ? (found.data?.places ?? []) : []), [wanted, found.data]);
  const chosen = places.filter((one) => !left.has(keyOf(one)));
  const times = chosen.reduce((sum, one) => sum + one.count, 0);
  const nameOf = (page: string) => brand.pages.find((one) => one.body.id === page)?.body.name ?? 'Header, footer, menu';
  const replace = async () => {
    try {
      const only = chosen.map((one): [string, string] => [one.document, one.path]);
      const answer = await unwrap(
        client.POST('/api/brands/{brand_id}/search', {
          params: { path: { brand_id: brand.id } },
          body: { words: wanted, by, only, cases, whole },
        }),
      );
      if (!answer.changes.length) return;
      if (await change(`“${wanted}” became “${by}”`, answer.changes as Change[]))
        say(`“${wanted}” became “${by}” ${counted(times, 'time')}.`);
    } catch (problem) {
      report(problem);
    }
  };
  return (
    <Modal show onHide={close} aria-labelledby={ids.title} size="lg" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={ids.title}>
          Search and replace
        </Modal.Title>
      </Modal.Header>
      <Modal.Body tabIndex={0}>
        <form
          className="search-form"
          onSubmit={(event) => {
            event.preventDefault();
            if (chosen.length && by !== wanted) void replace();
          }}
        >
          <label htmlFor={ids.words}>Search for</label>
          <input
            id={ids.words}
            type="search"
            autoFocus
            maxLength={200}
            value={words}
            onChange={(event) => {
              setWords(event.target.value);
              setLeft(new Set());
            }}
          />
          <label htmlFor={ids.by}>Put in its place</label>
          <input
            id={ids.by}
            maxLength={200}
            value={by}
            disabled={!canWrite}
            onChange={(event) => setBy(event.target.value)}
          />
          <div className="search-how">
            <label>
              <input type="checkbox" checked={whole} onChange={(event) => setWhole(event.target.checked)} />
              whole words
            </label>
            <label>
              <input type="checkbox" checked={cases} onChange={(event) => setCases(event.target.checked)} />
              capitals and accents count
            </label>
            <button
              type="submit"
              className="main-action"
              disabled={!canWrite || !chosen.length || words !== wanted || by === wanted}
            >
              Replace {chosen.length ? counted(times, 'time') : ''}
            </button>
          </div>
        </form>
        <p className="soft" role="status">
          {!wanted.trim()
            ? 'Every text of the site is searched: pages, header, footer, menu, and what search engines read.'
            : found.isPending
              ? 'Searching…'
              : places.length
                ? `${counted(places.length, 'text')}. What is unchecked stays as it is.`
                : `“${wanted}” stands nowhere.`}
        </p>
        {found.isError && <p role="alert">{found.error.message}</p>}
        <ul className="search-places">
          {places.map((place) => (
            <li key={keyOf(place)}>
              <input
                type="checkbox"
                aria-label={`Replace in ${nameOf(place.page)}, ${place.label}: ${place.match}${place.after}`}
                disabled={!canWrite}
                checked={!left.has(keyOf(place))}
                onChange={() =>
                  setLeft((now) => {
                    const next = new Set(now);
                    if (!next.delete(keyOf(place))) next.add(keyOf(place));
                    return next;
                  })
                }
              />
              <button
                type="button"
                onClick={() => {
                  open(place.page, place.section);
                  close();
                }}
              >
                <b>
                  {nameOf(place.page)} · {place.label}
                  {place.count > 1 && <span className="soft"> {place.count} times</span>}
                </b>
                <span>
                  {place.before}
                  <mark>{place.match}</mark>
                  {place.after}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </Modal.Body>
    </Modal>
  );
}
