import { useState } from 'react';
import { Link } from 'react-router';
import { pointer } from '../../api/client';
import { useMaterial } from '../../api/pages';
import { IDENTITY, stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { useStructure } from '../pages/structure';

/** The first place of each page. */
const onceEach = (places: string[][] = []) =>
  places.filter(([page], index) => places.findIndex(([other]) => other === page) === index);

/** The client’s texts: on which pages each stands, and what of it waits for a place, which it can be given here. */
export function Material() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const { arrange } = useStructure();
  const told = useMaterial(brand.id, stampOf(brand));
  const [all, setAll] = useState(false);
  const texts = brand.identity.body.texts ?? [];
  if (!texts.length) return null;
  const of = (index: number) => told.data?.texts.find((one) => one.number === index);
  const waits = texts.map((_, index) => of(index)?.waits ?? []);
  const waiting = waits.filter((one) => one.length).length;
  const nameOf = (page: string) => brand.pages.find((one) => one.body.id === page)?.body.name ?? page;
  const place = (index: number, page: string) => {
    const text = texts[index];
    if (!text) return;
    const content = {
      heading: text.heading || text.text.slice(0, 60),
      body: waits[index]?.join('\n\n') ?? '',
    };
    void arrange({ do: 'add', page, kind: 'long_text', layout: 'essay', content });
  };
  const shown = texts.map((text, index) => ({ text, index })).filter(({ index }) => all || waits[index]?.length);
  return (
    <section aria-labelledby="material-title">
      <h2 id="material-title" className="identity-head">
        Texts from the brand’s files
      </h2>
      <p className="soft material-sum">
        {waiting
          ? `${counted(waiting, 'text')} of ${texts.length} ${waiting === 1 ? 'waits' : 'wait'} for a place.`
          : `${counted(texts.length, 'text')}, and all of ${texts.length === 1 ? 'it stands' : 'them stand'} on pages.`}{' '}
        <button type="button" className="link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? (waiting ? 'only what waits' : 'hide them') : 'show all'}
        </button>
      </p>
      <ul className="kept material">
        {shown.map(({ text, index }) => {
          const one = of(index);
          const left = one?.waits ?? [];
          const name = text.heading || text.text.slice(0, 60);
          return (
            <li key={`${index} ${name}`}>
              <span className="soft" title={text.source}>
                {text.source?.split('/').at(-1)}
              </span>
              <span>
                {name}
                {onceEach(one?.places).map(([page = '', section = ''], number) => (
                  <Link
                    key={`${page} ${section}`}
                    className="soft material-place"
                    to={`/brands/${brand.id}/pages?page=${page}&section=${section}`}
                  >
                    {number ? ', ' : 'on '}
                    {nameOf(page)}
                  </Link>
                ))}
                {left.length > 0 && (
                  <>
                    <span className="material-waits">
                      {left.slice(0, 3).join(' · ')}
                      {left.length > 3 && ` · and ${counted(left.length - 3, 'line')} more`}
                    </span>
                    {canWrite && (
                      <select
                        aria-label={`Put “${name}” on a page`}
                        value=""
                        onChange={(event) => event.target.value && place(index, event.target.value)}
                      >
                        <option value="">Put it on …</option>
                        {brand.pages.map((page) => (
                          <option key={page.body.id} value={page.body.id}>
                            {page.body.name}
                          </option>
                        ))}
                      </select>
                    )}
                  </>
                )}
              </span>
              <button
                type="button"
                className="remove"
                disabled={!canWrite}
                aria-label={`Take out the text ${name}`}
                onClick={() =>
                  void change(`Text “${name.slice(0, 40)}” taken out`, [
                    { document: IDENTITY, patch: [{ op: 'remove', path: pointer('texts', index) }] },
                  ])
                }
              >
                ×
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
