import { useId } from 'react';
import { useAfterKeys } from './useAfterKeys';

export type SliderProps = {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  unit?: string;
  disabled?: boolean;
  /** Called on every move. */
  onDrag: (value: number) => void;
  /** Called once, when the move ends. */
  onDone: () => void;
};

/** A slider whose whole drag is one change: moves are shown, the end is stored. */
export function Slider({ label, value, min, max, step, unit = '', disabled, onDrag, onDone }: SliderProps) {
  const id = useId();
  const ends = useAfterKeys(onDone);
  return (
    <div className="slider">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="range"
        min={min}
        max={max}
        step={step}
        value={value}
        disabled={disabled}
        aria-valuetext={`${value}${unit}`}
        onChange={(event) => onDrag(Number(event.target.value))}
        onPointerUp={ends.now}
        onKeyUp={ends.later}
        onBlur={ends.now}
      />
      <output htmlFor={id} className="mono">
        {value}
        {unit}
      </output>
    </div>
  );
}
