import { useState } from 'react';
import type { Mark } from '../../api/client';
import { useAdjusted, type Adjustment } from '../../api/queries';
import { MarkImage } from '../../parts/MarkImage';
import { Slider } from '../../parts/Slider';
import { useShown } from '../../bench/useBench';

export type AdjustMarkProps = { mark: Mark; take: (svg: string) => void; close: () => void };

const AS_IT_IS: Adjustment = { turn: 0, left: 0, top: 0, right: 0, bottom: 0 };
const SIDES = [
  { key: 'left', label: 'Off the left' },
  { key: 'right', label: 'Off the right' },
  { key: 'top', label: 'Off the top' },
  { key: 'bottom', label: 'Off the bottom' },
] as const;

/** A mark as it would be turned and cropped, before it is taken. */
export function AdjustMark({ mark, take, close }: AdjustMarkProps) {
  const { brand, token } = useShown('brand', 'token');
  const [by, setBy] = useState(AS_IT_IS);
  const made = useAdjusted(brand.id, mark.id, by);
  const changed = Object.values(by).some((value) => value !== 0);
  return (
    <div className="adjust-mark" role="group" aria-label={`Crop and turn ${mark.name}`}>
      <span style={{ background: token(`ground/${mark.meant_for === 'dark' ? 'deep' : 'paper'}/background`)?.css }}>
        <MarkImage svg={made.data?.svg ?? mark.svg} alt={`${mark.name}, cropped and turned`} />
      </span>
      <div>
        <Slider
          label="Turn"
          min={-180}
          max={180}
          step={1}
          unit="°"
          value={by.turn}
          onDrag={(turn) => setBy({ ...by, turn })}
          onDone={() => undefined}
        />
        {SIDES.map(({ key, label }) => (
          <Slider
            key={key}
            label={label}
            min={0}
            max={90}
            step={1}
            unit=" %"
            value={Math.round(by[key] * 100)}
            onDrag={(share) => setBy({ ...by, [key]: share / 100 })}
            onDone={() => undefined}
          />
        ))}
        {made.isError && <p className="bad">{made.error.message}</p>}
        <button
          type="button"
          className="quiet-action"
          disabled={!changed || made.isError || made.isPlaceholderData || !made.data}
          onClick={() => made.data && take(made.data.svg)}
        >
          Take it so
        </button>
        <button type="button" className="quiet-action" onClick={close}>
          Leave it
        </button>
      </div>
    </div>
  );
}
