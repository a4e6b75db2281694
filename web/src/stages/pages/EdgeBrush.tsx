import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { components } from '../../api/schema';
import type { Cut } from './cut';

export type Stroke = components['schemas']['Stroke'];
export type EdgeBrushProps = {
  /** Whether what it goes over is kept, or goes. */
  keep: boolean;
  /** Of the longer side of the whole picture. */
  radius: number;
  cut: Cut;
  /** Width to height of what is seen. */
  shape: number;
  onStroke: (stroke: Stroke) => void;
};

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const MOST = 600;
const share = (value: number) => Math.round(Math.max(0, Math.min(1, value)) * 10_000) / 10_000;

/** A round brush over a picture whose background was taken away: it is drawn with a pointer, or moved by the arrow keys and set down with
 *  the space bar. */
export function EdgeBrush({ keep, radius, cut, shape, onStroke }: EdgeBrushProps) {
  const ground = useRef<HTMLDivElement>(null);
  const [now, setNow] = useState<[number, number][]>([]);
  const [spot, setSpot] = useState<[number, number] | null>(null);
  // What is seen is a part of the whole picture, which strokes are told in.
  const whole = ([x, y]: [number, number]): [number, number] => [
    share(cut.x + x * cut.width),
    share(cut.y + y * cut.height),
  ];
  const wholeShape = (shape * cut.height) / cut.width;
  const wide = radius / cut.width / Math.min(1, wholeShape);
  const at = (event: PointerEvent): [number, number] => {
    const box = ground.current?.getBoundingClientRect();
    return box ? [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height] : [0, 0];
  };
  const done = (points: [number, number][]) => {
    setNow([]);
    if (points.length) onStroke({ keep, radius, points: points.slice(0, MOST).map(whole) });
  };
  const keys = (event: KeyboardEvent) => {
    const [x, y] = spot ?? [0.5, 0.5];
    const step = STEPS[event.key];
    if (step)
      setSpot([
        share(x + step[0] * (event.shiftKey ? 0.05 : 0.01)),
        share(y + step[1] * (event.shiftKey ? 0.05 : 0.01)),
      ]);
    else if (event.key === ' ' || event.key === 'Enter') done([[x, y]]);
    else return;
    event.preventDefault();
  };
  return (
    <div
      ref={ground}
      className={`edge-brush${keep ? ' keeps' : ''}`}
      role="application"
      tabIndex={0}
      aria-label={`${keep ? 'Keep' : 'Take away'} with the brush: arrow keys move it, the space bar sets it down`}
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        setNow([at(event)]);
      }}
      onPointerMove={(event) => {
        setSpot(at(event));
        if (event.currentTarget.hasPointerCapture(event.pointerId) && now.length < MOST) setNow([...now, at(event)]);
      }}
      onPointerUp={() => done(now)}
      onPointerCancel={() => setNow([])}
      onPointerLeave={() => setSpot(null)}
      onBlur={() => setSpot(null)}
    >
      {[...now, ...(spot ? [spot] : [])].map(([x, y], index) => (
        <i key={index} style={{ left: `${x * 100}%`, top: `${y * 100}%`, width: `${wide * 200}%` }} />
      ))}
    </div>
  );
}
