import { client, unwrap } from '../../api/client';
import type { Bench } from '../../shell/bench';

export type PlanAgainProps = Pick<Bench, 'accept' | 'afterChanges' | 'report' | 'say'> & {
  brandId: string;
  edited: boolean;
  disabled: boolean;
};

/** Pages follow the brief by themselves until somebody edits them; afterwards, planning again is offered. */
export function PlanAgain({ brandId, edited, accept, afterChanges, report, say, disabled }: PlanAgainProps) {
  const plan = async () => {
    try {
      const path = { params: { path: { brand_id: brandId } } };
      accept(await afterChanges(() => unwrap(client.POST('/api/brands/{brand_id}/plan', path))));
      say('The pages are planned anew from the brief.');
    } catch (error) {
      report(error);
    }
  };
  return (
    <div className="plan-again">
      {edited ? (
        <>
          <p className="soft">Edited by hand, so the pages no longer follow the brief by themselves.</p>
          <button type="button" className="quiet-action" disabled={disabled} onClick={() => void plan()}>
            Plan again from the brief
          </button>
        </>
      ) : (
        <p className="soft">Planned from the brief; they follow it until you edit them.</p>
      )}
    </div>
  );
}
