import { useState } from 'react';
import { useLibrary } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { found } from './found';

export type DrawingsProps = { current: string; choose: (kind: string) => void; disabled: boolean };

/** The library of drawings, in the brand’s colours, found by words. */
export function Drawings({ current, choose, disabled }: DrawingsProps) {
  const library = useLibrary();
  const { token } = useShown('token');
  const [asked, setAsked] = useState('');
  const all = library.data?.drawings ?? [];
  const shown = found(all, asked);
  const painted = (svg: string) => {
    const inside = svg.replace(
      /class="f(\d)"/g,
      (_, number: string) => `fill="${token(`picture/${number}`)?.css ?? '#888'}"`,
    );
    return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 160 120">${inside}</svg>`)}`;
  };
  return (
    <section className="drawings" aria-label="Drawings">
      <input
        type="search"
        aria-label="Search the drawings"
        placeholder="boat, bread, law, winter …"
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
      />
      <p className="soft" role="status">
        {shown.length === all.length
          ? `${all.length} drawings`
          : shown.length
            ? `${shown.length} of ${all.length}`
            : 'No drawing is found by these words. Try what it shows, a trade or a season.'}
      </p>
      <ul>
        {shown.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              aria-pressed={one.id === current}
              disabled={disabled}
              title={one.says}
              onClick={() => choose(one.id)}
            >
              <img src={painted(one.svg)} alt={one.says} width="64" height="48" />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
