import { useState } from 'react';
import { useShown } from '../../bench/useBench';
import type { PaletteChoice } from './usePaletteChoice';

const SOURCES = [
  { id: 'trade', name: 'Name and trade' },
  { id: 'words', name: 'Words' },
  { id: 'colors', name: 'A reference' },
] as const;

/** For a brand without colours: what palettes are to follow, and the chosen one with what each colour is for. */
export function PaletteFacet({ choice }: { choice: PaletteChoice }) {
  const { canWrite } = useShown('canWrite');
  const { palettes, chosen, wanted, follow, read, file, take, reference } = choice;
  const [source, setSource] = useState<(typeof SOURCES)[number]['id']>('trade');
  const [words, setWords] = useState('');
  const { known = [], unknown = [] } = palettes.data ?? {};
  return (
    <div className="style-facet palette-facet">
      <h2>Palettes</h2>
      <p className="soft">
        The brand has no colours yet. Each of these is whole: roles, rhythm of grounds and contrast are solved on the
        brand’s own pages.
      </p>
      <div role="group" aria-label="What they follow" className="palette-sources">
        {SOURCES.map((one) => (
          <button
            key={one.id}
            type="button"
            className="filter"
            aria-pressed={source === one.id}
            onClick={() => {
              setSource(one.id);
              if (one.id === 'trade') follow({});
            }}
          >
            {one.name}
          </button>
        ))}
      </div>
      {source === 'words' && (
        <form
          className="palette-words"
          onSubmit={(event) => {
            event.preventDefault();
            if (words.trim()) follow({ source: 'words', text: words });
          }}
        >
          <label>
            How it should feel
            <input
              value={words}
              maxLength={200}
              placeholder="stormy and warm"
              onChange={(e) => setWords(e.target.value)}
            />
          </label>
          <button type="submit" className="quiet-action" disabled={!words.trim()}>
            Propose
          </button>
          {wanted.source === 'words' && (
            <p role="status" className="soft">
              {known.length > 0 && `From ${known.join(', ')}. `}
              {unknown.length > 0 && `“${unknown.join('”, “')}” says nothing to it. `}
              {!known.length && 'Try words such as stormy, calm or sunny.'}
            </p>
          )}
        </form>
      )}
      {source === 'colors' && (
        <p className="palette-words">
          <label className="quiet-action palette-file">
            Choose a picture, a page or a style sheet
            <input
              type="file"
              accept="image/*,.svg,.html,.htm,.css,.pdf"
              onChange={(event) => {
                void read(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
          </label>
          <span role="status" className="soft">
            {file || 'Its colours are taken over in their proportions. It is not kept.'}
          </span>
        </p>
      )}
      {source === 'colors' && reference.manner && (
        <label className="slot-check">
          <input
            type="checkbox"
            checked={reference.alike}
            onChange={(event) => reference.setAlike(event.target.checked)}
          />
          its manner as well: {reference.manner.says}
        </label>
      )}
      {palettes.isError && <p role="alert">{palettes.error.message}</p>}
      {palettes.isPending && <p className="soft">Working out palettes…</p>}
      {chosen && (
        <>
          <h2>
            {chosen.number}: {chosen.name}
          </h2>
          <p>{chosen.says}</p>
          <ul className="palette-colors">
            {chosen.colors.map((one) => (
              <li key={one.name}>
                <i style={{ background: one.value }} />
                <b>{one.name}</b>
                <span className="mono">{one.value}</span>
                <span className="soft">{one.what}</span>
              </li>
            ))}
          </ul>
          <div className="style-take">
            <button type="button" className="main-action" disabled={!canWrite} onClick={() => void take()}>
              Take this palette
            </button>
          </div>
        </>
      )}
    </div>
  );
}
