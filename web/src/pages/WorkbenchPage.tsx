import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { memo, useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { previewKey, useWorkbench } from '../api/queries';
import { client, Problem, unwrap, type Workbench } from '../api/client';
import { previewOf } from '../bench/documents';
import { BenchStore } from '../bench/store';
import { BenchContext, useShown } from '../bench/useBench';
import { painted, restyleAll } from '../sheet/frames';
import { LibraryFonts } from '../parts/LibraryFonts';
import { Unopened } from './Unopened';
import { Waiting } from '../parts/Waiting';
import { ControlStrip } from '../shell/ControlStrip';
import { Notices } from '../shell/Notices';
import { ChangedSince } from '../shell/ChangedSince';
import { StaleDialog } from '../shell/StaleDialog';
import { Ticket } from '../shell/Ticket';
import { useUndoKeys } from '../shell/useUndoKeys';
import { IdentityStage } from '../stages/identity/IdentityStage';
import { InboxStage } from '../stages/inbox/InboxStage';
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
  inbox: () => <InboxStage />,
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
  const queries = useQueryClient();
  const [store] = useState(() => storeOf(brand, queries));
  useEffect(() => store.loaded(brand), [store, brand]);
  useUndoKeys(store.undo, store.redo);
  return (
    <BenchContext.Provider value={store}>
      <Room stage={stage} />
    </BenchContext.Provider>
  );
}

/** Everything of the workbench. An answer that is kept draws nothing of it: its parts follow the store. */
const Room = memo(function Room({ stage }: { stage: string }) {
  return (
    <>
      <Fonts />
      <div className="bench">
        <Ticket stage={stage} />
        <Stage stage={stage} />
        <ControlStrip stage={stage} />
        <Notices />
        <StaleDialog />
        <ChangedSince />
      </div>
    </>
  );
});

function Stage({ stage }: { stage: string }) {
  const draw = STAGES[stage] ?? STAGES['identity'];
  return (
    <main className={`stage stage-${stage}`}>
      <Title stage={stage} />
      {draw?.()}
    </main>
  );
}

function Title({ stage }: { stage: string }) {
  const { brand } = useShown('brand');
  return (
    <h1 className="visually-hidden">
      {brand.identity.body.name}: {stage}
    </h1>
  );
}

function Fonts() {
  const { brand } = useShown('brand');
  return <LibraryFonts brandId={brand.id} fonts={brand.identity.body.fonts} />;
}

/** The store of a brand, tied to the pages that are drawn and to what is kept of answers. */
function storeOf(brand: Workbench, queries: QueryClient): BenchStore {
  const path = { params: { path: { brand_id: brand.id } } };
  return new BenchStore(brand, {
    restyle: restyleAll,
    painted,
    keep: (now) => queries.setQueryData(['brand', now.id], now),
    drawn: ({ page, scheme, html, content }, now) => {
      const key = previewOf(now, page);
      if (key.startsWith(content)) queries.setQueryData(previewKey(now.id, page, key, scheme), { html, key });
    },
    load: () => unwrap(client.GET('/api/brands/{brand_id}', path)),
    signedOut: () => window.location.assign('/'),
  });
}
