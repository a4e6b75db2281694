import type { Choices } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { ChoiceRow } from './ChoiceRow';

const KINDS = [
  { key: 'opening', name: 'In openings' },
  { key: 'text', name: 'Beside texts' },
  { key: 'card', name: 'On cards' },
] as const;
const RATIOS = [
  { value: '', name: 'as laid out' },
  ...['1:1', '4:3', '3:2', '16:9', '3:4', '2:3'].map((value) => ({ value, name: value })),
];
type Kind = NonNullable<Choices['picture_kinds']>[string];

/** Proportions and corners of pictures, for each kind of place that they have. */
export function PictureKinds() {
  const { choices, token, canWrite } = useShown('choices', 'token', 'canWrite');
  const { change } = useActions();
  const radius = parseFloat(token('shape/picture-radius')?.css ?? '0');
  const set = (label: string, key: (typeof KINDS)[number]['key'], part: Partial<Kind>) => {
    const now = choices.picture_kinds?.[key];
    const value = { ratio: now?.ratio ?? null, corners: now?.corners ?? null, ...part };
    const path = `/picture_kinds/${key}`;
    const plain = value.ratio === null && value.corners === null;
    if (plain && !now) return;
    void change(label, [{ document: CHOICES, patch: [plain ? { op: 'remove', path } : { op: 'add', path, value }] }]);
  };
  return (
    <fieldset className="picture-kinds" disabled={!canWrite}>
      <legend>Pictures by place</legend>
      {KINDS.map(({ key, name }) => {
        const own = choices.picture_kinds?.[key];
        return (
          <div key={key} className={`shape-choices${own ? ' is-chosen' : ''}`}>
            <ChoiceRow
              label={name}
              options={RATIOS}
              value={own?.ratio ?? ''}
              onChoose={(value, said) =>
                set(`Pictures ${name.toLowerCase()}: ${said}`, key, { ratio: (value || null) as Kind['ratio'] })
              }
            />
            <label className="kind-corners">
              Corners
              <input
                type="number"
                min={0}
                max={24}
                value={own?.corners ?? radius}
                aria-label={`Corners of pictures ${name.toLowerCase()}`}
                onChange={(event) => {
                  const corners = Number(event.target.value);
                  if (corners >= 0 && corners <= 24) set(`Corners of pictures ${name.toLowerCase()}`, key, { corners });
                }}
              />
              {own?.corners != null && (
                <button
                  type="button"
                  className="quiet-action"
                  aria-label={`Pictures ${name.toLowerCase()} follow the radius`}
                  onClick={() => set(`Pictures ${name.toLowerCase()} follow the radius`, key, { corners: null })}
                >
                  Follow
                </button>
              )}
            </label>
          </div>
        );
      })}
    </fieldset>
  );
}
