import { useEffect, useState } from 'react';
import { pointer, type Focus, type Overlay } from '../../api/client';
import { useOverlay } from '../../api/queries';
import { fullRatio } from '../../parts/color';
import { Slider } from '../../parts/Slider';
import { tryOnPicture, WIDTH_NAMES, WIDTHS } from '../../sheet/frames';
import { useActions, useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { FocusPoint } from './FocusPoint';
import type { PictureValue } from './PictureSlot';
import type { Row } from './rows';

export type OnPictureProps = {
  row: Row;
  pageId: string;
  picture: PictureValue;
  /** The page that is shown, on which moves are seen at once. */
  paper: () => Document | null;
  disabled: boolean;
};

const SHAPES = [
  { id: 'even', name: 'even' },
  { id: 'foot', name: 'from the foot' },
  { id: 'side', name: 'from the left' },
] as const;
const MIDDLE: Focus = { x: 0.5, y: 0.5 };
const AS_PLANNED: Overlay = { opacity: 0.75, shape: 'even' };
const percent = (value: number) => `${Math.round(value * 100)} %`;

/** Text on a picture: the overlay between them, the least that passes for each shape, what every width has, and the worst
 *  spot as it is drawn. */
export function OnPicture({ row, pageId, picture, paper, disabled }: OnPictureProps) {
  const { brand } = useShown('brand');
  const { change } = useActions();
  const stored = { overlay: picture.overlay ?? AS_PLANNED, focus: picture.focus ?? MIDDLE };
  const [moved, setMoved] = useState<{ overlay: Overlay; focus: Focus } | null>(null);
  const shown = moved ?? stored;
  const place = { page: pageId, section: row.id };
  const found = useOverlay(brand.id, stampOf(brand), place, useSettled(shown, 60));
  const report = found.data;
  const move = (next: { overlay?: Overlay; focus?: Focus }) => {
    const made = { overlay: next.overlay ?? shown.overlay, focus: next.focus ?? shown.focus };
    setMoved(made);
    const document = paper();
    if (document) tryOnPicture(document, row.id, full(made.overlay), fullFocus(made.focus));
    return made;
  };
  const store = (label: string, next: { overlay?: Overlay; focus?: Focus }, made = moved) => {
    const patch = Object.entries(next).map(([key, value]) => ({
      op: 'add' as const,
      path: pointer(...row.base, 'content', 'picture', key),
      value,
    }));
    // What was moved meanwhile stays.
    void change(label, [{ document: row.document, patch }]).then(() => setMoved((now) => (now === made ? null : now)));
  };
  const lay = (overlay: Overlay) => {
    const made = move({ overlay });
    store(`Overlay ${nameOf(overlay)}, ${percent(overlay.opacity ?? 0)}`, { overlay }, made);
  };
  const { opacity, shape } = full(shown.overlay);
  const spot = worstOf(report?.texts ?? []);
  return (
    <section className="on-picture" aria-label="Text on the picture">
      <h2>Text on the picture</h2>
      <div className="overlay-shapes" role="group" aria-label="Shape of the overlay">
        {SHAPES.map((one) => {
          const least = report?.least.find((entry) => entry.shape === one.id);
          return (
            <div key={one.id}>
              <button
                type="button"
                className={`overlay-shape overlay-${one.id}`}
                aria-pressed={shape === one.id}
                disabled={disabled}
                onClick={() => shape !== one.id && lay({ opacity, shape: one.id })}
              >
                <i />
                {one.name}
              </button>
              <button
                type="button"
                className="link"
                disabled={disabled || least?.opacity == null}
                aria-label={
                  least?.opacity == null ? `none passes, ${one.name}` : `least ${percent(least.opacity)}, ${one.name}`
                }
                title={least?.opacity == null ? undefined : 'The least with which all texts pass at all widths'}
                onClick={() => least?.opacity != null && lay({ opacity: least.opacity, shape: one.id })}
              >
                {report ? (least?.opacity == null ? 'none passes' : `least ${percent(least.opacity)}`) : '…'}
              </button>
            </div>
          );
        })}
      </div>
      <Slider
        label={`${row.section.ground ?? 'paper'} over it`}
        value={Math.round(opacity * 100)}
        min={0}
        max={100}
        step={1}
        unit=" %"
        disabled={disabled}
        onDrag={(value) => move({ overlay: { opacity: value / 100, shape } })}
        onDone={() =>
          moved &&
          opacity !== full(stored.overlay).opacity &&
          store(`Overlay at ${percent(opacity)}`, { overlay: { opacity, shape } })
        }
      />
      {report && !report.read && report.least.length > 0 && (
        <p className="note-line">This photograph cannot be read here, so its contrast cannot be told.</p>
      )}
      {report?.read && (
        <>
          <ul className="overlay-widths" aria-label="What the texts have at each width">
            {WIDTHS.map((width) => {
              const all = report.texts.filter((text) => text.width === width);
              const worst = worstOf(all);
              if (!worst) return null;
              return (
                <li key={width} className={worst.passes ? undefined : 'bad'}>
                  <span>{WIDTH_NAMES[width]}</span>
                  <b className="mono">{fullRatio(worst.ratio)}</b>
                  <span className="soft">
                    {worst.passes ? '' : '✕ '}
                    {wordOf(worst.slot)}, needs {worst.required}
                    {report.texts.some((text) => text.scheme !== worst.scheme) ? `, ${worst.scheme}` : ''}
                  </span>
                </li>
              );
            })}
          </ul>
          <div className="overlay-pictures">
            <figure>
              <FocusPoint
                picture={report.picture}
                focus={shown.focus}
                disabled={disabled}
                onDrag={(focus) => move({ focus })}
                onDone={() => moved && store('What stays in sight of a picture', { focus: shown.focus })}
              />
              <figcaption>what stays in sight</figcaption>
            </figure>
            <figure>
              <div className="worst-spot">
                <img src={report.worst} alt="" />
              </div>
              <figcaption>the worst spot{spot ? `: ${WIDTH_NAMES[spot.width]}, ${wordOf(spot.slot)}` : ''}</figcaption>
            </figure>
          </div>
        </>
      )}
    </section>
  );
}

type AtWidth = { ratio: number; required: number; slot: string; width: number; scheme: string; passes: boolean };

const wordOf = (slot: string) => (slot === 'heading' ? 'headline' : 'words');
const worstOf = (texts: AtWidth[]) =>
  texts.reduce<AtWidth | undefined>(
    (low, text) => (!low || text.ratio / text.required < low.ratio / low.required ? text : low),
    undefined,
  );
const full = (overlay: Overlay) => ({ opacity: overlay.opacity ?? 0.75, shape: overlay.shape ?? 'even' });
const fullFocus = (focus: Focus) => ({ x: focus.x ?? 0.5, y: focus.y ?? 0.5 });
const nameOf = (overlay: Overlay) => SHAPES.find((one) => one.id === overlay.shape)?.name ?? 'even';

/** A value once it has stood still for a while, so that a drag asks the server now and then and not at every px. */
function useSettled<T>(value: T, wait: number): T {
  const [settled, setSettled] = useState(value);
  const text = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(JSON.parse(text) as T), wait);
    return () => clearTimeout(timer);
  }, [text, wait]);
  return settled;
}
