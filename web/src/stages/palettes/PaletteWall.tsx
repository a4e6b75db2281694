import type { PaletteCard } from '../../api/client';
import { usePalettePreview } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { useRoom } from '../../sheet/useRoom';
import type { PaletteChoice } from './usePaletteChoice';

const WIDTH = 1280;
const GAP = 14;

/** Eight palettes side by side, each on the brand’s own start page. */
export function PaletteWall({ choice }: { choice: PaletteChoice }) {
  const { proposals, chosen, choose, show, wanted, palettes, stamp } = choice;
  const { room, box } = useRoom(800);
  const columns = room > 900 ? 4 : room > 480 ? 3 : 2;
  const shown = Math.floor((room - 32 - GAP * (columns - 1)) / columns);
  const next = palettes.data?.next ?? 0;
  return (
    <div className="sheet style-wall" ref={box}>
      <div className="sheet-bar">
        <span>
          <b>Palettes</b>{' '}
          {proposals.length > 0 && `${proposals[0]?.number} to ${proposals[proposals.length - 1]?.number}`}
        </span>
        <span>
          {wanted.first > 1 && (
            <button type="button" className="width-toggle" onClick={() => show(Math.max(1, wanted.first - 8))}>
              Those before
            </button>
          )}
          {next > 0 && (
            <button type="button" className="width-toggle" onClick={() => show(next)}>
              Others
            </button>
          )}
        </span>
      </div>
      {palettes.isSuccess && proposals.length === 0 && <p className="sheet-empty">Nothing to go by yet.</p>}
      <ul
        className="style-grid"
        aria-label="Palettes side by side"
        style={{ gridTemplateColumns: `repeat(${columns}, ${shown}px)` }}
      >
        {proposals.map((one) => (
          <li key={`${one.number} ${one.name}`} className="style-card">
            <PaletteFrame palette={one} stamp={stamp} shown={shown} />
            <span className="palette-strip" aria-hidden="true">
              {one.colors.map((color) => (
                <i key={color.name} style={{ background: color.value }} />
              ))}
            </span>
            <button
              type="button"
              className="style-name"
              aria-pressed={one.number === chosen?.number}
              onClick={() => choose(one.number)}
            >
              <b>{one.number}</b> {one.name}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function PaletteFrame({ palette, stamp, shown }: { palette: PaletteCard; stamp: string; shown: number }) {
  const { brand } = useShown('brand');
  const preview = usePalettePreview(brand.id, stamp, palette);
  const scale = shown / WIDTH;
  const height = Math.round(shown * 1.2);
  return (
    <span className="style-frame" style={{ width: shown, height }} data-ready={preview.isSuccess}>
      {preview.data ? (
        <iframe
          title={`Palette ${palette.number}: ${palette.name}`}
          sandbox="allow-same-origin"
          srcDoc={preview.data.html}
          tabIndex={-1}
          aria-hidden="true"
          style={{ width: WIDTH, height: height / scale, transform: `scale(${scale})` }}
        />
      ) : (
        <span className="page-frame-wait">{preview.isError ? 'This palette cannot be drawn.' : 'Drawing…'}</span>
      )}
    </span>
  );
}
