import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

const [LEAST, MOST] = [320, 1920];
const STEP = 8;
const within = (width: number) => Math.round(Math.min(MOST, Math.max(LEAST, width)));

export type WidthEdgeProps = { width: number; scale: number; set: (width: number) => void };

/** The edge of the page, by which it is pulled to any width: by mouse, finger or pen, or by arrows. */
export function WidthEdge({ width, scale, set }: WidthEdgeProps) {
  const held = useRef<{ x: number; width: number; scale: number } | null>(null);
  const pull = (event: PointerEvent) => {
    const from = held.current;
    // The page stands in the middle, so its edge goes half as far as its width grows.
    if (from) set(within(from.width + (2 * (event.clientX - from.x)) / from.scale));
  };
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 1 : STEP;
    const wanted = {
      ArrowRight: width + step,
      ArrowUp: width + step,
      ArrowLeft: width - step,
      ArrowDown: width - step,
      Home: LEAST,
      End: MOST,
    }[event.key];
    if (wanted === undefined) return;
    event.preventDefault();
    set(within(wanted));
  };
  return (
    <div
      className="edit-edge"
      role="slider"
      tabIndex={0}
      aria-label="Width of the page in px"
      aria-orientation="horizontal"
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      aria-valuenow={width}
      title={`${width} px: pull it to any width`}
      onKeyDown={key}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { x: event.clientX, width, scale };
      }}
      onPointerMove={pull}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    />
  );
}
