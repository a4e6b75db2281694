import { useState } from 'react';
import { client, unwrap } from '../../api/client';
import { useLanguages } from '../../api/languages';
import { useLibrary } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { Waiting } from '../../parts/Waiting';
import { LanguageTexts } from './LanguageTexts';

/** The languages of the site: which there are, what is still to be translated, and each text beside its translation. */
export function LanguagesView({ first: asked = '' }: { /** The language to begin with. */ first?: string }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { write, report } = useActions();
  const found = useLanguages(brand);
  const library = useLibrary();
  const [chosen, setChosen] = useState(asked);
  if (!found.data) return <Waiting error={found.error ?? undefined} retry={() => void found.refetch()} />;
  const { own, own_name: ownName, further, wanted } = found.data;
  const open = further.find((one) => one.code === chosen) ?? further[0];
  const there = new Set([own, ...further.map((one) => one.code)]);
  const offered = (library.data?.languages ?? []).filter((one) => !there.has(one.code));
  const [first, rest] = [
    offered.filter((one) => wanted.includes(one.code)),
    offered.filter((one) => !wanted.includes(one.code)),
  ];
  const add = async (code: string) => {
    try {
      const path = { params: { path: { brand_id: brand.id } }, body: { code } };
      await write(
        (headers) => unwrap(client.POST('/api/brands/{brand_id}/languages', { ...path, headers })),
        (answer) => answer,
      );
      setChosen(code);
    } catch (problem) {
      report(problem);
    }
  };
  return (
    <div className="languages-view">
      <div className="languages-bar">
        <span className="languages-own">
          <b lang={own}>{ownName}</b> <span className="soft">is the site’s own</span>
        </span>
        <div role="group" aria-label="Languages">
          {further.map((one) => {
            const waits = one.states.missing ?? 0;
            return (
              <button
                key={one.code}
                type="button"
                className="width-toggle"
                aria-pressed={one === open}
                onClick={() => setChosen(one.code)}
              >
                <span lang={one.code}>{one.name}</span>{' '}
                <small>{waits ? `${waits} to do` : one.published ? 'published' : 'complete'}</small>
              </button>
            );
          })}
        </div>
        <select
          aria-label="Add a language"
          value=""
          disabled={!canWrite}
          onChange={(event) => event.target.value && void add(event.target.value)}
        >
          <option value="">Add a language…</option>
          {first.length > 0 && (
            <optgroup label="Named in the brief">
              {first.map((one) => (
                <Offered key={one.code} {...one} />
              ))}
            </optgroup>
          )}
          <optgroup label="All">
            {rest.map((one) => (
              <Offered key={one.code} {...one} />
            ))}
          </optgroup>
        </select>
      </div>
      {open ? (
        <LanguageTexts key={open.code} card={open} />
      ) : (
        <div className="languages-empty">
          <h2>One language so far</h2>
          <p>
            Add another, and every text of the site stands beside its translation. Layouts and style are shared; what
            Formulon itself says is put in by itself, and everything else waits for you. A language is published when
            you say so, in a folder of its own, with a switch in the header.
          </p>
        </div>
      )}
    </div>
  );
}

function Offered({ code, name, own }: { code: string; name: string; own: string }) {
  return <option value={code}>{own === name ? name : `${name}, ${own}`}</option>;
}
