import type { Choices } from '../../api/client';
import { Slider } from '../../parts/Slider';
import { useShown } from '../../bench/useBench';
import { useChoiceDrag } from './useChoiceDrag';

export type ChoiceSliderProps = {
  label: string;
  /** Path in the choices, as a JSON Pointer. */
  path: string;
  min: number;
  max: number;
  step: number;
  unit?: string;
  value: (choices: Choices) => number;
  put: (choices: Choices, value: number) => Choices;
};

/** A slider on one value of the choices. */
export function ChoiceSlider({ label, path, min, max, step, unit, value, put }: ChoiceSliderProps) {
  const { choices, canWrite } = useShown('choices', 'canWrite');
  const { drag, done } = useChoiceDrag(label, path, put);
  return (
    <Slider
      label={label}
      min={min}
      max={max}
      step={step}
      unit={unit}
      disabled={!canWrite}
      value={value(choices)}
      onDrag={drag}
      onDone={done}
    />
  );
}
