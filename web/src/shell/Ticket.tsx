import { useCallback, useState } from 'react';
import { Link } from 'react-router';
import { Emblem } from '../parts/Emblem';
import { MarkImage } from '../parts/MarkImage';
import type { Workbench } from '../api/client';
import { useNewEnquiries } from '../api/inbox';
import { useStops } from '../api/preflight';
import { stampOf } from '../bench/documents';
import { useActions, useShown } from '../bench/useBench';
import { HistoryDialog } from './HistoryDialog';
import { KeysDialog, useKeysKey } from './KeysDialog';
import { counted } from '../parts/counted';

/** What undo or redo would take. */
function stepTitle(way: 'Undo' | 'Redo', step: Workbench['history']['undo'], keys: string): string {
  if (!step) return `Nothing of yours to ${way.toLowerCase()}`;
  return `${way}: ${step.label} (${keys})`;
}

export type TicketProps = { stage: string };

/** The head of the workbench: the brand, the five stages with their state, undo and redo. */
export function Ticket({ stage }: TicketProps) {
  const { brand, system, saving, canWrite } = useShown('brand', 'system', 'saving', 'canWrite');
  const { undo, redo } = useActions();
  const [looking, setLooking] = useState(false);
  const [asking, setAsking] = useState(false);
  useKeysKey(useCallback(() => setAsking(true), []));
  const fresh = useNewEnquiries(brand.id, canWrite && brand.releases.length > 0).data?.count ?? 0;
  const identity = brand.identity.body;
  const symbol = identity.marks?.find((mark) => mark.kind === 'symbol') ?? identity.marks?.[0];
  const conflicts = system.conflicts.filter((conflict) => !conflict.cause).length;
  const predicted = system.counts['stop'] ?? 0;
  const known = useStops(brand.id, stampOf(brand), predicted);
  const stops = system === brand.system ? known : predicted; // a drag is told as it is predicted
  const live = brand.releases.find((release) => release.live);
  const colors = identity.colors?.length ?? 0;
  const facts = [identity.strapline, identity.does, identity.audience, identity.place].filter(Boolean).length;
  const next = `r${(brand.releases[0]?.number ?? 0) + 1}`;
  const stages = [
    {
      id: 'identity',
      name: 'Identity',
      state: colors ? `${counted(colors, 'colour')}, ${counted(facts, 'fact')}` : 'no colours yet',
      bad: false,
    },
    {
      id: 'system',
      name: 'System',
      state: conflicts ? `${counted(conflicts, 'conflict')}` : 'no conflict',
      bad: conflicts > 0,
    },
    {
      id: 'pages',
      name: 'Pages',
      state: counted(brand.pages.length, 'page'),
      bad: false,
    },
    {
      id: 'preflight',
      name: 'Preflight',
      state: stops ? `${stops} ${stops === 1 ? 'stops' : 'stop'} the release` : 'nothing stops it',
      bad: stops > 0,
    },
    {
      id: 'release',
      name: 'Release',
      state: live ? `r${live.number} live${brand.changed_since_release ? ', changed since' : ''}` : 'not released yet',
      bad: false,
    },
  ];
  return (
    <header className="head">
      <Link to="/" className="who" title="All brands">
        {symbol ? <MarkImage svg={symbol.svg} alt="" /> : <Emblem />}
        <span>
          <b>{identity.name}</b>
          <span className="soft">{saving ? 'Saving…' : canWrite ? 'All saved' : 'You may look, not change'}</span>
        </span>
      </Link>
      <nav className="ticket" aria-label="Stages">
        {stages.map((one, index) => (
          <Link
            key={one.id}
            to={`/brands/${brand.id}/${one.id}`}
            className={one.id === stage ? 'on' : undefined}
            aria-current={one.id === stage ? 'page' : undefined}
          >
            <i aria-hidden="true">{index + 1}</i>
            <b>{one.name}</b>
            <span className={one.bad ? 'bad' : undefined}>{one.state}</span>
          </Link>
        ))}
      </nav>
      <div className="tools">
        <button
          type="button"
          className="tool"
          disabled={!brand.history.undo || !canWrite}
          onClick={() => void undo()}
          title={stepTitle('Undo', brand.history.undo, 'Ctrl+Z')}
        >
          Undo
        </button>
        <button
          type="button"
          className="tool"
          disabled={!brand.history.redo || !canWrite}
          onClick={() => void redo()}
          title={stepTitle('Redo', brand.history.redo, 'Ctrl+Shift+Z')}
        >
          Redo
        </button>
        {canWrite && (
          <Link
            className={`tool${stage === 'inbox' ? ' on' : ''}`}
            to={`/brands/${brand.id}/inbox`}
            aria-current={stage === 'inbox' ? 'page' : undefined}
          >
            Inbox{fresh ? <b className="tool-count"> {fresh}</b> : ''}
          </Link>
        )}
        <button type="button" className="tool" aria-haspopup="dialog" onClick={() => setLooking(true)}>
          History
        </button>
        <button
          type="button"
          className="tool"
          aria-haspopup="dialog"
          aria-label="Keys"
          aria-keyshortcuts="?"
          title="Keys (?)"
          onClick={() => setAsking(true)}
        >
          ?
        </button>
        {looking && <HistoryDialog close={() => setLooking(false)} />}
        {asking && <KeysDialog close={() => setAsking(false)} />}
        {stage !== 'release' && (
          <Link className="tool tool-main" to={`/brands/${brand.id}/${stops ? 'preflight' : 'release'}`}>
            {stops ? 'See what stops it' : `Release ${next}`}
          </Link>
        )}
      </div>
    </header>
  );
}
