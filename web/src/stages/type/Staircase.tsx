import { useState } from 'react';
import type { Choices } from '../../api/client';
import { useLibrary, useType } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { ChoiceSlider } from '../system/ChoiceSlider';
import { familiesOf } from './families';
import { StepRow } from './StepRow';

type Scale = NonNullable<Choices['scale']>;
type Key = Exclude<keyof Scale, 'steps'>;

const slider = (key: Key) => ({
  path: `/scale/${key}`,
  value: (choices: Choices) => choices.scale?.[key] ?? (key === 'size' ? 1 : 0),
  put: (choices: Choices, next: number) => ({ ...choices, scale: { ...(choices.scale as Scale), [key]: next } }),
});
// Made once, so that a drag keeps its handlers.
const SLIDERS = [
  { label: 'Size of all type', min: 0.75, max: 1.4, step: 0.01, ...slider('size') },
  { label: 'Ratio on phones', min: 1.05, max: 1.5, step: 0.01, ...slider('ratio_small') },
  { label: 'Ratio on desktops', min: 1.05, max: 1.6, step: 0.01, ...slider('ratio_large') },
  { label: 'Running text on phones', min: 12, max: 24, step: 0.5, unit: ' px', ...slider('base_small') },
  { label: 'Running text on desktops', min: 12, max: 28, step: 0.5, unit: ' px', ...slider('base_large') },
];
export const STEPS = ['display', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'intro', 'body', 'fine', 'label'] as const;

/** The type scale as a staircase of the site's own words, at phone and desktop size side by side, with how they fit. */
export function Staircase() {
  const { brand } = useShown('brand');
  const library = useLibrary();
  const families = familiesOf(library.data, brand.identity.body.fonts);
  const name = (id: string) => families.find((one) => one.id === id)?.name ?? id;
  const type = useType(brand.id, stampOf(brand));
  const [open, setOpen] = useState('');
  const [all, setAll] = useState(false);
  const fits = type.data?.steps ?? [];
  // Used steps first come into sight; the others are asked for.
  const shown = STEPS.filter((name) => all || name === 'label' || !type.data || fits.some((one) => one.step === name));
  return (
    <>
      <div className="type-sliders">
        {SLIDERS.map((one) => (
          <ChoiceSlider key={one.path} {...one} />
        ))}
      </div>
      {type.data?.lacking.map((one) => (
        <p key={one.family + one.language} className="lacking">
          <span className="mark-note" aria-hidden="true" />
          {name(one.family)} lacks letters of {one.language}: <b>{[...one.characters].join(' ')}</b>
        </p>
      ))}
      <table className="staircase">
        <caption className="visually-hidden">
          The steps of the type scale, on the site’s own words, at half size
        </caption>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Phone, 360</th>
            <th scope="col">Desktop, 1280</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((name) => (
            <StepRow
              key={name}
              name={name}
              fit={fits.find((one) => one.step === name)}
              open={open === name}
              toggle={() => setOpen(open === name ? '' : name)}
            />
          ))}
        </tbody>
      </table>
      {!all && shown.length < STEPS.length && (
        <button type="button" className="quiet-action" onClick={() => setAll(true)}>
          Show {STEPS.length - shown.length} steps that no page uses
        </button>
      )}
    </>
  );
}
