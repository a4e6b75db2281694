import { useState } from 'react';
import { client, unwrap } from '../../api/client';
import { colorsOfFile } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { Sampler } from './Sampler';

export type PickSourcesProps = { pick: (value: string) => void };

type Offered = { hex: string; share?: number };

/** Where a colour can come from: the brand's own, words, a reference picture, or a place in a mark or picture. */
export function PickSources({ pick }: PickSourcesProps) {
  const { brand } = useShown('brand');
  const { report } = useActions();
  const [words, setWords] = useState('');
  const [seed, setSeed] = useState(0);
  const [offered, setOffered] = useState<Offered[]>([]);
  const [said, setSaid] = useState('');
  const [sampling, setSampling] = useState(false);
  const propose = async (next: number) => {
    if (!words.trim()) return;
    try {
      const body = { text: words, seed: next };
      const found = await unwrap(client.POST('/api/colors/words', { body }));
      setSeed(next);
      setOffered(found.colors.map((hex) => ({ hex })));
      const unknown = found.unknown.length ? `“${found.unknown.join('”, “')}” says nothing to it.` : '';
      setSaid(found.colors.length ? unknown : `${unknown} Try words such as stormy, calm or sunny.`);
    } catch (problem) {
      report(problem);
    }
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    setSaid('Reading the picture…');
    try {
      const { colors } = await colorsOfFile(file);
      setOffered(colors);
      setSaid(file.name);
    } catch (problem) {
      setSaid('');
      report(problem);
    }
  };
  const colors = brand.identity.body.colors ?? [];
  return (
    <div className="pick-sources">
      <span className="pick-row" role="group" aria-label="The brand’s own colours">
        {colors.map((color) => (
          <button
            key={color.id}
            type="button"
            className="pick-chip"
            style={{ background: color.value }}
            aria-label={`${color.name}, ${color.value}`}
            title={`${color.name} ${color.value}`}
            onClick={() => pick(color.value)}
          />
        ))}
        <span className="soft">the brand’s own</span>
      </span>
      <form
        className="pick-row"
        onSubmit={(event) => {
          event.preventDefault();
          void propose(0);
        }}
      >
        <input
          aria-label="Words for colours"
          placeholder="Words: stormy, cool and calm"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <button type="submit" className="quiet-action">
          Propose
        </button>
        {offered.length > 0 && words.trim() && (
          <button type="button" className="quiet-action" onClick={() => void propose(seed + 1)}>
            Others
          </button>
        )}
        <label className="quiet-action">
          From a picture…
          <input
            type="file"
            accept="image/*"
            className="visually-hidden"
            aria-label="A reference picture"
            onChange={(event) => {
              void read(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
        <button type="button" className="quiet-action" aria-expanded={sampling} onClick={() => setSampling(!sampling)}>
          Sample…
        </button>
      </form>
      {(offered.length > 0 || said) && (
        <span className="pick-row" role="group" aria-label="Proposed colours">
          {offered.map(({ hex, share }, index) => (
            <button
              key={`${hex}${index}`}
              type="button"
              className="pick-chip"
              style={{ background: hex, flexGrow: share ? share * 10 : 0 }}
              aria-label={share ? `${hex}, ${Math.round(share * 100)} % of the picture` : hex}
              title={share ? `${hex}, ${Math.round(share * 100)} %` : hex}
              onClick={() => pick(hex)}
            />
          ))}
          <span className="soft" role="status">
            {said}
          </span>
        </span>
      )}
      {sampling && <Sampler pick={pick} />}
    </div>
  );
}
