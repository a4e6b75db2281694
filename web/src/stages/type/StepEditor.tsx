import { useState } from 'react';
import type { Choices, Resolved } from '../../api/client';
import { useLibrary } from '../../api/queries';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { familiesOf } from './families';

type Own = NonNullable<NonNullable<Choices['scale']>['steps']>[string];
type Step = Resolved['steps'][number];
export type StepEditorProps = { name: string; step: Step; largest: number };

const EMPTY: Own = {
  font: null,
  small: null,
  large: null,
  weight: null,
  line_height: null,
  tracking: null,
  case: null,
};
const NUMBERS = [
  { key: 'small', label: 'Phone, px', min: 9, max: 160, grain: 0.5, now: (step: Step) => step.small },
  { key: 'large', label: 'Desktop, px', min: 9, max: 240, grain: 0.5, now: (step: Step) => step.large },
  { key: 'weight', label: 'Weight', min: 100, max: 1000, grain: 10, now: (step: Step) => step.weight },
  { key: 'line_height', label: 'Line height', min: 0.8, max: 2.4, grain: 0.01, now: (step: Step) => step.line_height },
  { key: 'tracking', label: 'Tracking, em', min: -0.1, max: 0.4, grain: 0.002, now: (step: Step) => step.tracking },
] as const;

/** What is set for one step; whatever is not follows the scale and the typeface’s own measures. */
export function StepEditor({ name, step, largest }: StepEditorProps) {
  const { choices, brand, canWrite } = useShown('choices', 'brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const scale = choices.scale;
  const own = scale?.steps?.[name];
  const families = familiesOf(library.data, brand.identity.body.fonts);
  const family = families.find((one) => one.id === step.family);
  const set = (label: string, values: Partial<Own>) => {
    const steps = { ...scale?.steps, [name]: { ...EMPTY, ...own, ...values } };
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path: '/scale/steps', value: steps }] }]);
  };
  const follow = () => {
    const steps = Object.fromEntries(Object.entries(scale?.steps ?? {}).filter(([one]) => one !== name));
    void change(`${name} follows the scale`, [
      { document: CHOICES, patch: [{ op: 'add', path: '/scale/steps', value: steps }] },
    ]);
  };
  return (
    <fieldset className="step-editor" disabled={!canWrite}>
      <legend className="visually-hidden">What is set for {name}</legend>
      {NUMBERS.map((one) => (
        <NumberField
          key={one.key}
          label={one.label}
          of={name}
          min={one.key === 'weight' ? (family?.lightest ?? one.min) : one.min}
          max={one.key === 'weight' ? (family?.heaviest ?? one.max) : one.max}
          grain={one.grain}
          value={one.now(step)}
          chosen={own?.[one.key] != null}
          save={(value) => set(`${one.label.split(',')[0]} of ${name}`, { [one.key]: value })}
        />
      ))}
      <label>
        Case
        <select
          value={own?.case ?? 'none'}
          onChange={(event) => set(`Case of ${name}`, { case: event.target.value as 'none' })}
        >
          <option value="none">As written</option>
          <option value="uppercase">Capitals</option>
          <option value="lowercase">Small letters</option>
        </select>
      </label>
      {name !== 'body' && (
        <label>
          Typeface
          <select
            value={step.role}
            onChange={(event) => set(`Typeface of ${name}`, { font: event.target.value as 'body' })}
          >
            <option value="heading">Heading</option>
            <option value="body">Running text</option>
            {brand.identity.body.typefaces?.third && <option value="third">Labels</option>}
          </select>
        </label>
      )}
      <span className="step-actions">
        {largest > 0 && (
          <button
            type="button"
            className="quiet-action"
            disabled={largest === step.small}
            onClick={() => set(`${name} at ${largest} px on phones`, { small: largest })}
          >
            {largest === step.small
              ? `${largest} px is the largest with three lines`
              : `Largest with three lines on a phone: ${largest} px`}
          </button>
        )}
        {own && (
          <button type="button" className="quiet-action" onClick={follow}>
            Follow the scale
          </button>
        )}
      </span>
    </fieldset>
  );
}

type NumberFieldProps = {
  label: string;
  of: string;
  min: number;
  max: number;
  grain: number;
  value: number;
  chosen: boolean;
  save: (value: number) => void;
};

/** A number that is stored when it is left or Enter is pressed; Escape brings the old one back. */
function NumberField({ label, of, min, max, grain, value, chosen, save }: NumberFieldProps) {
  const [text, setText] = useState<string | null>(null);
  const store = () => {
    const next = Math.min(max, Math.max(min, Number(text)));
    setText(null);
    if (text !== null && text.trim() && Number.isFinite(next) && next !== value) save(next);
  };
  return (
    <label className={chosen ? 'is-chosen' : undefined}>
      {label}
      <input
        type="number"
        aria-label={`${label} of ${of}`}
        min={min}
        max={max}
        step={grain}
        value={text ?? Number(value.toFixed(grain < 0.01 ? 3 : grain < 0.1 ? 2 : 1))}
        onChange={(event) => setText(event.target.value)}
        onBlur={store}
        onKeyDown={(event) => {
          if (event.key === 'Enter') store();
          if (event.key === 'Escape') setText(null);
        }}
      />
    </label>
  );
}
