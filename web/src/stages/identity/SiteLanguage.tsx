import { useState } from 'react';
import { useLibrary } from '../../api/queries';
import { Editable } from '../../parts/Editable';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** The language in which the site is written: names of pages, dates, hyphens and typefaces follow it. */
export function SiteLanguage() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const [other, setOther] = useState(false);
  const language = brand.identity.body.language ?? 'en-GB';
  const offered = library.data?.languages ?? [];
  const known = offered.find((one) => one.code === language);
  const set = (code: string, name: string) => {
    setOther(false);
    if (code !== language)
      void change(`The site is in ${name}`, [
        { document: IDENTITY, patch: [{ op: 'add', path: '/language', value: code }] },
      ]);
  };
  return (
    <div className="editable site-language">
      <label htmlFor="site-language">Language of the site</label>
      <select
        id="site-language"
        disabled={!canWrite}
        value={other ? 'other' : language}
        onChange={(event) => {
          const found = offered.find((one) => one.code === event.target.value);
          if (found) set(found.code, found.name);
          else setOther(event.target.value === 'other');
        }}
      >
        {!known && <option value={language}>{language}</option>}
        {offered.map((one) => (
          <option key={one.code} value={one.code}>
            {one.own === one.name ? one.name : `${one.name}, ${one.own}`}
          </option>
        ))}
        <option value="other">another, by its code…</option>
      </select>
      {other && (
        <Editable
          label="Code of the language"
          quietLabel
          value=""
          placeholder="cy, fr-CA, …"
          onSave={(code) => set(code, code)}
        />
      )}
      <p className="soft">
        {!known?.words
          ? 'Formulon has no words of its own in it; names of pages and parts come in English until you write them.'
          : known.sentences
            ? 'What Formulon writes of its own is in it.'
            : 'Names of pages and parts come in it; Formulon writes no sentences in it yet.'}
      </p>
    </div>
  );
}
