import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { moved, off, pulled, type Cut, type Side } from './cut';

export type CutFrameProps = { cut: Cut; onCut: (cut: Cut) => void };

const SIDES: { side: Side; name: string }[] = [
  { side: 'left', name: 'Off the left' },
  { side: 'top', name: 'Off the top' },
  { side: 'right', name: 'Off the right' },
  { side: 'foot', name: 'Off the foot' },
];
const CORNERS: [Side, Side][] = [
  ['left', 'top'],
  ['right', 'top'],
  ['left', 'foot'],
  ['right', 'foot'],
];
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A frame over a picture: what is left of it. Its sides, its corners and itself are pulled, or moved by the arrow keys. */
export function CutFrame({ cut, onCut }: CutFrameProps) {
  const ground = useRef<HTMLDivElement>(null);
  const from = useRef({ x: 0, y: 0, cut });
  const at = (event: PointerEvent) => {
    const box = ground.current?.getBoundingClientRect();
    return box
      ? { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
      : { x: 0, y: 0 };
  };
  const start = (event: PointerEvent<HTMLElement>) => {
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    from.current = { ...at(event), cut };
  };
  const held = (event: PointerEvent<HTMLElement>) => event.currentTarget.hasPointerCapture(event.pointerId);
  const pull = (sides: readonly Side[]) => ({
    onPointerDown: start,
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (held(event)) onCut(pulled(from.current.cut, sides, at(event).x, at(event).y));
    },
  });
  const keys = (event: KeyboardEvent, side?: Side) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 0.05 : 0.01;
    if (!side) onCut(moved(cut, step[0] * by, step[1] * by));
    else {
      const across = side === 'left' || side === 'right';
      const x = (side === 'left' ? cut.x : cut.x + cut.width) + (across ? step[0] || -step[1] : 0) * by;
      const y = (side === 'top' ? cut.y : cut.y + cut.height) + (across ? 0 : step[1] || step[0]) * by;
      onCut(pulled(cut, [side], x, y));
    }
  };
  return (
    <div className="cut-frame" ref={ground}>
      <div
        className="cut-left"
        style={{
          left: `${cut.x * 100}%`,
          top: `${cut.y * 100}%`,
          width: `${cut.width * 100}%`,
          height: `${cut.height * 100}%`,
        }}
      >
        <button
          type="button"
          className="cut-whole"
          aria-label={`What is left: ${Math.round(cut.width * 100)} % of the width, ${Math.round(cut.height * 100)} % of the height. Arrow keys move it.`}
          onPointerDown={start}
          onPointerMove={(event) => {
            if (held(event)) onCut(moved(from.current.cut, at(event).x - from.current.x, at(event).y - from.current.y));
          }}
          onKeyDown={(event) => keys(event)}
        />
        {CORNERS.map((sides) => (
          <i key={sides.join()} className={`cut-corner ${sides.join(' ')}`} {...pull(sides)} />
        ))}
        {SIDES.map(({ side, name }) => (
          <span
            key={side}
            className={`cut-side ${side}`}
            role="slider"
            tabIndex={0}
            aria-label={name}
            aria-orientation={side === 'top' || side === 'foot' ? 'vertical' : 'horizontal'}
            aria-valuemin={0}
            aria-valuemax={95}
            aria-valuenow={off(cut, side)}
            aria-valuetext={`${off(cut, side)} %`}
            title={`${name}: ${off(cut, side)} %`}
            {...pull([side])}
            onKeyDown={(event) => keys(event, side)}
          />
        ))}
      </div>
    </div>
  );
}
