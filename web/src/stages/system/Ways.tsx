import { useEffect } from 'react';
import { useEffectOf } from '../../api/queries';
import type { Choices, Conflict, Operation } from '../../api/client';
import { shownRatio } from '../../parts/color';
import { useActions, useShown } from '../../bench/useBench';
import { CHOICES, stampOf } from '../../bench/documents';
import { effectWords } from '../../sheet/Reached';
import { patched } from '../../bench/patched';
import { counted } from '../../parts/counted';

export type WaysProps = { conflict: Conflict; taken: (label: string) => void };

/** The ways out of a conflict, each one click. Each says what it reaches, and pointing at one shows it on the sheet. */
export function Ways({ conflict, taken }: WaysProps) {
  return (
    <div className="ways">
      {conflict.alternatives?.map((way) => (
        <Way key={way.label} conflict={conflict} way={way} taken={taken} />
      ))}
    </div>
  );
}

type WayProps = { conflict: Conflict; way: NonNullable<Conflict['alternatives']>[number]; taken: WaysProps['taken'] };

function Way({ conflict, way, taken }: WayProps) {
  const { brand, choices, canWrite } = useShown('brand', 'choices', 'canWrite');
  const { change, draft, endDraft } = useActions();
  useEffect(() => endDraft, [endDraft]);
  const patch = way.patch as Operation[];
  const effect = useEffectOf(brand.id, stampOf(brand), patch, brand.choices.revision);
  const what = conflict.ink ? `${conflict.ink} on ${conflict.ground}` : conflict.path;
  const take = async () => {
    if (await change(`${way.label}: ${what}`, [{ document: CHOICES, patch }])) taken(way.label);
  };
  const stored = brand.choices.body as Choices;
  const show = () => canWrite && choices === stored && draft(patched(stored, patch));
  const found = effect.data?.effect;
  const delta = found ? found.conflicts_after - found.conflicts_before : 0;
  return (
    <button
      type="button"
      className="way"
      disabled={!canWrite}
      onClick={() => void take()}
      onPointerEnter={show}
      onPointerLeave={endDraft}
      onFocus={show}
      onBlur={endDraft}
    >
      <span className="way-head">
        {way.color && <i style={{ background: way.color }} />}
        {way.label}
        {(way.ratio ?? 0) > 0 && <span className="mono">{shownRatio(way.ratio ?? 0)}</span>}
        {(way.delta_e ?? 0) > 0 && <span className="mono soft">ΔE {(way.delta_e ?? 0).toFixed(0)}</span>}
      </span>
      <small>
        {found ? `reaches ${effectWords(found)}` : 'counting…'}
        {found && delta !== 0 && ` · ${counted(Math.abs(delta), 'conflict')} ${delta < 0 ? 'fewer' : 'more'}`}
      </small>
    </button>
  );
}
