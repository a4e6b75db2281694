import { useParams } from 'react-router';
import { useWorkbench } from '../api/queries';
import { Problem, type Workbench } from '../api/client';
import { LibraryFonts } from '../parts/LibraryFonts';
import { Unopened } from './Unopened';
import { Waiting } from '../parts/Waiting';
import { BenchContext } from '../shell/bench';
import { ControlStrip } from '../shell/ControlStrip';
import { Notices } from '../shell/Notices';
import { ChangedSince } from '../shell/ChangedSince';
import { StaleDialog } from '../shell/StaleDialog';
import { Ticket } from '../shell/Ticket';
import { useBenchState } from '../shell/useBenchState';
import { useUndoKeys } from '../shell/useUndoKeys';
import { IdentityStage } from '../stages/identity/IdentityStage';
import { PagesStage } from '../stages/pages/PagesStage';
import { PreflightStage } from '../stages/preflight/PreflightStage';
import { ReleaseStage } from '../stages/release/ReleaseStage';
import { SystemStage } from '../stages/system/SystemStage';

const STAGES: Record<string, () => React.ReactNode> = {
  identity: () => <IdentityStage />,
  system: () => <SystemStage />,
  pages: () => <PagesStage />,
  preflight: () => <PreflightStage />,
  release: () => <ReleaseStage />,
};

/** The workbench of one brand. */
export function WorkbenchPage() {
  const { brandId = '' } = useParams();
  const workbench = useWorkbench(brandId);
  if (workbench.isPending) return <Waiting />;
  const problem = workbench.error;
  if (problem instanceof Problem && problem.code === 'unopenable')
    return <Unopened brandId={brandId} problem={problem} again={() => void workbench.refetch()} />;
  if (!workbench.data) return <Waiting error={workbench.error ?? undefined} retry={() => void workbench.refetch()} />;
  return <OpenWorkbench key={brandId} brand={workbench.data} />;
}

function OpenWorkbench({ brand }: { brand: Workbench }) {
  const { stage = 'identity' } = useParams();
  const state = useBenchState(brand);
  useUndoKeys(state.bench.undo, state.bench.redo);
  const draw = STAGES[stage] ?? STAGES['identity'];
  return (
    <BenchContext.Provider value={state.bench}>
      <LibraryFonts brandId={brand.id} fonts={state.bench.brand.identity.body.fonts} />
      <div className="bench">
        <Ticket stage={stage} />
        <main className={`stage stage-${stage}`}>
          <h1 className="visually-hidden">
            {brand.identity.body.name}: {stage}
          </h1>
          {draw?.()}
        </main>
        <ControlStrip stage={stage} />
        <Notices
          error={state.error}
          notice={state.notice}
          close={() => (state.setError(null), state.setNotice(null))}
        />
        <StaleDialog stale={state.stale} close={() => state.setStale(null)} />
        {state.asked && <ChangedSince asked={state.asked} answer={state.answer} />}
      </div>
    </BenchContext.Provider>
  );
}
