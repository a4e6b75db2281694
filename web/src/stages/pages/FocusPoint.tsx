import { useRef } from 'react';
import type { Focus } from '../../api/client';
import { useAfterKeys } from '../../parts/useAfterKeys';

export type FocusPointProps = {
  picture: string;
  focus: Focus;
  disabled: boolean;
  onDrag: (focus: Focus) => void;
  /** Called once, when the move ends. */
  onDone: () => void;
};

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-0.02, 0],
  ArrowRight: [0.02, 0],
  ArrowUp: [0, -0.02],
  ArrowDown: [0, 0.02],
};
const within = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 100) / 100;

/** The whole picture with the point that stays in sight wherever it is cropped: by pointer, or by the arrow keys. */
export function FocusPoint({ picture, focus, disabled, onDrag, onDone }: FocusPointProps) {
  const box = useRef<HTMLDivElement>(null);
  const ends = useAfterKeys(onDone);
  const { x = 0.5, y = 0.5 } = focus;
  const at = (event: React.PointerEvent) => {
    const rect = box.current?.getBoundingClientRect();
    if (rect)
      onDrag({
        x: within((event.clientX - rect.left) / rect.width),
        y: within((event.clientY - rect.top) / rect.height),
      });
  };
  return (
    <div
      className="focus-point"
      ref={box}
      onPointerDown={(event) => {
        if (disabled) return;
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.querySelector('button')?.focus();
        at(event);
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && at(event)}
      onPointerUp={(event) => {
        event.currentTarget.releasePointerCapture(event.pointerId);
        ends.now();
      }}
    >
      <img src={picture} alt="" draggable={false} />
      <button
        type="button"
        disabled={disabled}
        style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        aria-label={`Point that stays in sight: ${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down. Arrow keys move it.`}
        onKeyDown={(event) => {
          const step = STEPS[event.key];
          if (!step) return;
          event.preventDefault();
          onDrag({ x: within(x + step[0]), y: within(y + step[1]) });
        }}
        onKeyUp={(event) => STEPS[event.key] && ends.later()}
        onBlur={ends.now}
      />
    </div>
  );
}
