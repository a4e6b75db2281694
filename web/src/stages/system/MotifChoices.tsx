import type { Choices } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { ChoiceRow, named } from './ChoiceRow';
import { ChoiceSlider } from './ChoiceSlider';

type Motif = NonNullable<Choices['motif']>;
const NONE: Motif = {
  shape: 'none',
  places: { closing: 'accent', footer: 'band' },
  size: 48,
  strength: 'clear',
  seed: 1,
};
const SIZE = {
  label: 'Height in a band',
  path: '/motif/size',
  min: 16,
  max: 160,
  step: 1,
  unit: ' px',
  value: (choices: Choices) => choices.motif?.size ?? NONE.size,
  put: (choices: Choices, value: number) => ({ ...choices, motif: { ...(choices.motif ?? NONE), size: value } }),
};
const PLACES = [
  { key: 'opening', name: 'First section' },
  { key: 'middle', name: 'Sections between' },
  { key: 'closing', name: 'Last section' },
  { key: 'footer', name: 'Footer' },
] as const;
const WAYS = [
  { value: '', name: 'none' },
  { value: 'accent', name: 'one, large' },
  { value: 'band', name: 'a band' },
];

/** The brand motif: what it is, where it stands, and in which order. */
export function MotifChoices() {
  const { brand, choices, token, system, canWrite } = useShown('brand', 'choices', 'token', 'system', 'canWrite');
  const { change } = useActions();
  const motif = choices.motif ?? NONE;
  const hasSymbol = (brand.identity.body.marks ?? []).some((mark) => mark.kind === 'symbol');
  const set = (label: string, part: Partial<Motif>) =>
    void change(label, [
      { document: CHOICES, patch: [{ op: 'add', path: '/motif', value: { ...motif, ...part } as never }] },
    ]);
  const lost = system.conflicts.find((one) => one.code === 'motif-without-symbol');
  const size = token('motif/size');
  return (
    <fieldset className="motif-choices">
      <legend>Motif</legend>
      <div className="shape-choices">
        <ChoiceRow
          label="Its shape"
          options={named('none', ...(hasSymbol ? ['symbol'] : []), 'initial', 'ring', 'arch', 'wave', 'weave', 'ray')}
          value={motif.shape}
          onChoose={(value) => set(`Motif: ${value}`, { shape: value as Motif['shape'] })}
        />
        {motif.shape !== 'none' && (
          <>
            {PLACES.map(({ key, name }) => (
              <ChoiceRow
                key={key}
                label={name}
                options={WAYS}
                value={motif.places[key] ?? ''}
                onChoose={(value, said) => {
                  const rest = Object.entries(motif.places).filter(([place]) => place !== key);
                  const places = Object.fromEntries(value ? [...rest, [key, value as 'accent' | 'band']] : rest);
                  set(`Motif, ${name.toLowerCase()}: ${said}`, { places });
                }}
              />
            ))}
            <ChoiceRow
              label="How strong"
              options={named('quiet', 'clear', 'strong')}
              value={motif.strength}
              onChoose={(value) => set(`Motif: ${value}`, { strength: value as Motif['strength'] })}
            />
          </>
        )}
      </div>
      {motif.shape !== 'none' && (
        <>
          <ChoiceSlider {...SIZE} />
          <p className={lost ? 'bad' : 'soft'}>
            {lost ? lost.message : size?.origin === 'derived' ? size.reason : token('motif/room')?.reason}
          </p>
          <button
            type="button"
            className="quiet-action"
            disabled={!canWrite}
            onClick={() => set('Another order of the motif', { seed: (motif.seed + 1) % 10000 })}
          >
            Another order
          </button>{' '}
          <span className="soft">
            Order {motif.seed}. A large motif stands only where a section has no picture of its own.
          </span>
        </>
      )}
    </fieldset>
  );
}
