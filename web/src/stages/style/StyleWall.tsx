import { useStylePreview } from '../../api/queries';
import { useRoom } from '../../sheet/useRoom';
import { useShown } from '../../bench/useBench';
import type { StyleChoice } from './useStyleChoice';

const WIDTH = 1280;
const GAP = 14;

/** Eight whole styles side by side, each on the brand’s own start page. */
export function StyleWall({ choice }: { choice: StyleChoice }) {
  const { proposals, chosen, choose, show, first, styles, stamp } = choice;
  const { room, box } = useRoom(800);
  const columns = room > 900 ? 4 : room > 480 ? 3 : 2;
  const shown = Math.floor((room - 32 - GAP * (columns - 1)) / columns);
  const next = styles.data?.next ?? 0;
  return (
    <div className="sheet style-wall" ref={box}>
      <div className="sheet-bar">
        <span>
          <b>Styles</b> {first} to {first + Math.max(proposals.length, 1) - 1}
        </span>
        <span>
          {first > 1 && (
            <button type="button" className="width-toggle" onClick={() => show(Math.max(1, first - 8))}>
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
      <ul
        className="style-grid"
        aria-label="Styles side by side"
        style={{ gridTemplateColumns: `repeat(${columns}, ${shown}px)` }}
      >
        {proposals.map((one) => (
          <li key={one.number} className="style-card">
            <StyleFrame number={one.number} stamp={stamp} shown={shown} name={one.name} />
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

function StyleFrame({ number, stamp, shown, name }: { number: number; stamp: string; shown: number; name: string }) {
  const { brand } = useShown('brand');
  const preview = useStylePreview(brand.id, stamp, number);
  const scale = shown / WIDTH;
  const height = Math.round(shown * 1.35);
  return (
    <span className="style-frame" style={{ width: shown, height }} data-ready={preview.isSuccess}>
      {preview.data ? (
        <iframe
          title={`Style ${number}: ${name}`}
          sandbox="allow-same-origin"
          srcDoc={preview.data.html}
          tabIndex={-1}
          aria-hidden="true"
          style={{ width: WIDTH, height: height / scale, transform: `scale(${scale})` }}
        />
      ) : (
        <span className="page-frame-wait">{preview.isError ? 'This style cannot be drawn.' : 'Drawing…'}</span>
      )}
    </span>
  );
}
