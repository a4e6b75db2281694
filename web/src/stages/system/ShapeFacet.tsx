import type { Choices } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { ChoiceRow, named } from './ChoiceRow';
import { ChoiceSlider } from './ChoiceSlider';
import { MotifChoices } from './MotifChoices';
import { PictureKinds } from './PictureKinds';

type Buttons = NonNullable<Choices['buttons']>;
type Corners = NonNullable<Choices['corners']>;

const number = (key: 'radius' | 'density' | 'grain') => ({
  path: `/${key}`,
  value: (choices: Choices) => choices[key] ?? 0,
  put: (choices: Choices, value: number) => ({ ...choices, [key]: value }),
});
const button = (key: 'padding_block' | 'padding_inline' | 'border') => ({
  path: `/buttons/${key}`,
  value: (choices: Choices) => choices.buttons?.[key] ?? 0,
  put: (choices: Choices, value: number) => ({
    ...choices,
    buttons: { ...(choices.buttons as Buttons), [key]: value },
  }),
});
// Made once, so that a drag keeps its handlers.
const SLIDERS = [
  { label: 'Corner radius', min: 0, max: 40, step: 1, unit: ' px', ...number('radius') },
  { label: 'Space', min: 0.6, max: 1.5, step: 0.05, ...number('density') },
  { label: 'Padding of buttons', min: 0, max: 2, step: 0.05, unit: ' em', ...button('padding_block') },
  { label: 'Padding at their sides', min: 0.2, max: 3, step: 0.05, unit: ' em', ...button('padding_inline') },
  { label: 'Border', min: 0, max: 4, step: 0.5, unit: ' px', ...button('border') },
  { label: 'Grain of photographs', min: 0, max: 1, step: 0.05, ...number('grain') },
  {
    label: 'Padding of links',
    min: 0,
    max: 1.5,
    step: 0.05,
    unit: ' em',
    path: '/links/padding_block',
    value: (choices: Choices) => choices.links?.padding_block ?? 0,
    put: (choices: Choices, value: number) => ({
      ...choices,
      links: { underlined: choices.links?.underlined ?? true, padding_block: value },
    }),
  },
];
const PARTS: { key: keyof Corners; name: string }[] = [
  { key: 'button', name: 'Buttons' },
  { key: 'field', name: 'Fields' },
  { key: 'card', name: 'Cards' },
  { key: 'picture', name: 'Pictures' },
];

const SELECTS: { path: string; label: string; options: ReturnType<typeof named>; now: (choices: Choices) => string }[] =
  [
    {
      path: '/cards',
      label: 'Cards',
      options: named('plain', 'lined', 'lifted', 'solid'),
      now: (choices) => choices.cards,
    },
    {
      path: '/elevation',
      label: 'Elevation',
      options: named('none', 'soft', 'crisp'),
      now: (choices) => choices.elevation,
    },
    {
      path: '/pictures',
      label: 'Photographs',
      options: named('natural', 'duotone', 'tint', 'monochrome'),
      now: (choices) => choices.pictures,
    },
    {
      path: '/motion',
      label: 'Motion',
      options: named('none', 'calm', 'lively'),
      now: (choices) => choices.motion,
    },
    {
      path: '/buttons/main',
      label: 'Main button',
      options: named('filled', 'outlined'),
      now: (choices) => choices.buttons?.main ?? 'filled',
    },
    {
      path: '/buttons/arrow',
      label: 'Arrow in buttons',
      options: named('none', 'before', 'after'),
      now: (choices) => choices.buttons?.arrow ?? 'none',
    },
    {
      path: '/buttons/least',
      label: 'Least to press',
      options: [
        { value: '24', name: '24 px' },
        { value: '44', name: '44 px' },
      ],
      now: (choices) => String(choices.buttons?.least ?? 24),
    },
  ];
const SWITCHES: { path: string; label: string; now: (choices: Choices) => boolean }[] = [
  {
    path: '/buttons/full_on_phones',
    label: 'Buttons as wide as the phone',
    now: (choices) => choices.buttons?.full_on_phones ?? false,
  },
  {
    path: '/buttons/small_in_header',
    label: 'A small button in the header',
    now: (choices) => choices.buttons?.small_in_header ?? false,
  },
  { path: '/buttons/raised', label: 'The main button is raised', now: (choices) => choices.buttons?.raised ?? false },
];

/** Corners, space, buttons, cards, elevation and motion: the sliders and choices beside what they make. */
export function ShapeFacet() {
  const { choices, token, canWrite } = useShown('choices', 'token', 'canWrite');
  const { change } = useActions();
  const set = (label: string, path: string, value: unknown) =>
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path, value }] }]);
  return (
    <div className="shape-facet">
      <div className="type-sliders">
        {SLIDERS.map((one) => (
          <ChoiceSlider key={one.path} {...one} />
        ))}
      </div>
      <fieldset className="corners" disabled={!canWrite}>
        <legend>Corners of one part</legend>
        {PARTS.map(({ key, name }) => {
          const own = choices.corners?.[key] ?? null;
          const css = token(`shape/${key}-radius`)?.css ?? '';
          return (
            <div key={key} className={own === null ? undefined : 'is-chosen'}>
              <i style={{ borderTopLeftRadius: css === '999px' ? 22 : css }} aria-hidden="true" />
              <label htmlFor={`corner-${key}`}>{name}</label>
              <input
                id={`corner-${key}`}
                type="number"
                min={0}
                max={40}
                value={own ?? parseFloat(css)}
                onChange={(event) => {
                  const value = Number(event.target.value);
                  if (value >= 0 && value <= 40) set(`Corners of ${name.toLowerCase()}`, `/corners/${key}`, value);
                }}
              />
              {own !== null && (
                <button
                  type="button"
                  className="quiet-action"
                  aria-label={`${name} follow the radius`}
                  onClick={() => set(`${name} follow the radius`, `/corners/${key}`, null)}
                >
                  Follow
                </button>
              )}
            </div>
          );
        })}
      </fieldset>
      <div className="shape-choices">
        {SELECTS.map((one) => (
          <ChoiceRow
            key={one.path}
            label={one.label}
            options={one.options}
            value={one.now(choices)}
            onChoose={(value, name) =>
              set(`${one.label}: ${name}`, one.path, one.path === '/buttons/least' ? Number(value) : value)
            }
          />
        ))}
        {SWITCHES.map((one) => (
          <label key={one.path} className="switch">
            <input
              type="checkbox"
              disabled={!canWrite}
              checked={one.now(choices)}
              onChange={(event) => set(one.label, one.path, event.target.checked)}
            />
            {one.label}
          </label>
        ))}
      </div>
      <p className="soft">{token('motion/duration')?.reason}</p>
      <PictureKinds />
      <MotifChoices />
    </div>
  );
}
