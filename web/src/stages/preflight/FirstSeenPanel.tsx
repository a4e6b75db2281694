import { useState } from 'react';
import { useFirstScreens } from '../../api/preflight';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { Toggles } from '../../parts/Toggles';
import { PageFrame } from '../../sheet/PageFrame';
import { useRoom } from '../../sheet/useRoom';

const SCREENS = [
  { id: '1280', name: 'Desktop' },
  { id: '360', name: 'Phone' },
] as const;
const KINDS: Record<string, string> = { action: 'to press', text: 'text', picture: 'picture' };

/** Where a spot stands, in px: whole in sight, also where what it marks is at an edge. */
const within = (at: number) => `clamp(12px, ${at}px, calc(100% - 12px))`;

/** What draws the eye first on the first screen of a page, as is predicted: numbered, on the page and beside it. */
export function FirstSeenPanel({ waiting }: { waiting: boolean }) {
  const { brand, look } = useShown('brand', 'look');
  const drawn = brand.pages.map((one) => one.body);
  const [chosen, setChosen] = useState('');
  const [width, setWidth] = useState<'1280' | '360'>('1280');
  const { room, box } = useRoom(0);
  const page = drawn.find((one) => one.id === chosen) ?? drawn[0];
  const told = useFirstScreens(brand.id, page?.id ?? '', look.scheme, stampOf(brand));
  if (!page) return <p className="first-seen soft">There is no page yet.</p>;
  const screen = told.data?.screens.find((one) => String(one.width) === width);
  const shown = width === '360' ? Math.min(room, 260) : room;
  const scale = shown / Number(width);
  const glances = screen?.glances ?? [];
  const main = glances.some((one) => one.main);
  return (
    <div className="first-seen">
      <div className="first-seen-head">
        <select
          className="form-select"
          aria-label="Page"
          value={page.id}
          onChange={(event) => setChosen(event.target.value)}
        >
          {drawn.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
        <Toggles label="Screen" options={SCREENS} shown={width} show={setWidth} />
      </div>
      <div ref={box}>
        {room > 0 && (
          <div
            className="first-seen-screen"
            aria-hidden="true"
            style={{ width: shown, height: (screen?.height ?? (width === '360' ? 640 : 800)) * scale }}
          >
            <PageFrame key={width} pageId={page.id} width={Number(width)} shown={shown} lights={false} />
            {glances.map((one, index) => (
              <span key={index} className="glance" style={{ left: within(one.x * scale), top: within(one.y * scale) }}>
                {index + 1}
              </span>
            ))}
          </div>
        )}
      </div>
      {told.isError ? (
        <p className="problem">{told.error.message}</p>
      ) : !told.data ? (
        <p className="soft">Asking what was seen…</p>
      ) : !screen ? (
        <p>
          {waiting
            ? 'A browser is looking at the pages; this one comes in its turn.'
            : 'No browser has seen this page as it is now. Have it look, on the left.'}
        </p>
      ) : (
        <>
          <ol>
            {glances.map((one, index) => (
              <li key={index}>
                <b>{index + 1}</b>
                <span>{one.label || 'A picture that decorates'}</span>
                <span className="soft">{one.main ? 'main action' : (KINDS[one.kind] ?? '')}</span>
              </li>
            ))}
          </ol>
          {glances.length === 0 && <p>Nothing on this screen is unlike the rest.</p>}
          {glances.length > 0 && !main && <p>None of them is a main action.</p>}
          <p className="soft">
            A prediction, computed from colours, lightness and edges of the screen alone; it knows nothing of what words
            say or who reads them.
          </p>
        </>
      )}
    </div>
  );
}
