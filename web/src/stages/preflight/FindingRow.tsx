import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Finding, Fix, RuleCard } from '../../api/client';
import { useFixes, useTrial } from '../../api/preflight';
import { useActions, useShown } from '../../bench/useBench';
import { CHECKS, stampOf } from '../../bench/documents';
import { useSeen } from '../../parts/useSeen';
import { Crop } from './Crop';
import { Effect } from './Effect';
import { answered, figure } from './findings';
import { ReasonForm } from './ReasonForm';
import { WaiveForm } from './WaiveForm';

export type FindingRowProps = {
  finding: Finding;
  rule: RuleCard | undefined;
  busy: string;
  /** Whether the finding is of the pages as they are, and not of those before the last change. */
  current: boolean;
  take: (fix: Fix) => void;
};

const UNITS: Record<string, string> = { ':1': 'measured, to 1', px: 'px', lines: 'lines' };
const HOVERS = 180; // ms over a fix after which it is tried
const date = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** One finding: evidence, numbers, reason, fixes, which are tried where the pointer or the keyboard rests on them. */
export function FindingRow({ finding, rule, busy, current, take }: FindingRowProps) {
  const { brand, canWrite, look } = useShown('brand', 'canWrite', 'look');
  const { change } = useActions();
  const row = useRef<HTMLLIElement>(null);
  const seen = useSeen(row);
  const [tried, setTried] = useState<Fix | null>(null);
  const [waiving, setWaiving] = useState(false);
  const [asking, setAsking] = useState<Fix | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const stamp = stampOf(brand);
  const mendable = !finding.waived;
  const known = useFixes(brand.id, stamp, { page: finding.page, key: finding.key ?? '' }, seen && current && mendable);
  const trial = useTrial(brand.id, stamp, finding.page, look.scheme, current ? tried : null);
  const page = brand.pages.find((one) => one.body.id === finding.page)?.body;
  const place = [
    page?.name ?? finding.page,
    finding.section.replaceAll('-', ' '),
    finding.width && `at ${finding.width} px`,
    finding.basis === 'measured' && 'seen in the browser',
    finding.basis === 'both' && 'predicted and seen in the browser',
  ];
  const reference = rule?.references[finding.code];
  const stop = finding.severity === 'stop' && finding.outcome === 'fail' && !finding.waived;
  const rest = (fix: Fix) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setTried(fix), HOVERS);
  };
  const leave = () => {
    clearTimeout(timer.current);
    setTried(null);
  };
  const back = () => {
    const index = brand.checks.body.waivers?.findIndex((one) => one.mark === finding.mark) ?? -1;
    if (index >= 0)
      void change(`Waiver taken back: ${finding.message}`.slice(0, 200), [
        { document: CHECKS, patch: [{ op: 'remove', path: `/waivers/${index}` }] },
      ]);
  };
  return (
    <li className="finding" ref={row}>
      <Crop finding={finding} trial={tried ? trial.html : undefined} />
      <div>
        <h3>
          <span className={stop ? 'mark-stop' : 'mark-note'} aria-hidden="true" />
          <span className="visually-hidden">
            {finding.waived
              ? 'Waived: '
              : stop
                ? 'Stop: '
                : finding.outcome === 'cannot-tell'
                  ? 'Cannot tell: '
                  : 'Note: '}
          </span>
          {finding.message}
        </h3>
        <p className="soft">
          {place.filter(Boolean).join(' · ')}. {rule?.rationale}
        </p>
        {finding.waived && (
          <p className="waived">
            Waived by {finding.waived.by} on {date.format(new Date(finding.waived.on))}: “{finding.waived.reason}”
          </p>
        )}
        <div className="figures">
          {finding.measured !== null && (
            <div className={finding.waived ? undefined : 'x'}>
              <b>{figure(finding.measured, finding.unit, rule?.bound)}</b>
              {UNITS[finding.unit] ?? 'measured'}
            </div>
          )}
          {finding.required !== null && (
            <div>
              <b>{figure(finding.required, finding.unit).replace(/\.0+$/, '')}</b>
              {rule?.bound === 'most' ? 'at most' : 'at least'}
            </div>
          )}
          {reference && (
            <div>
              {reference.clause ? <b>{reference.clause}</b> : null}
              {`${reference.standard} ${reference.level}`.trim()}
            </div>
          )}
        </div>
        <div className="fixes" onPointerLeave={leave} onBlur={leave}>
          {mendable && known.isPending && <span className="soft">Working out fixes…</span>}
          {known.isError && (
            <button type="button" className="quiet-action" onClick={() => void known.refetch()}>
              Work out fixes again
            </button>
          )}
          {known.data?.there === false && <span className="soft">This is no longer found.</span>}
          {known.data?.fixes.map((fix, index) => (
            <button
              key={fix.label}
              type="button"
              className={index === 0 ? 'best' : undefined}
              disabled={!canWrite || busy !== ''}
              title={
                fix.predicted != null
                  ? `Then ${figure(fix.predicted, finding.unit, rule?.bound)}`
                  : finding.basis === 'measured'
                    ? 'The browser looks again after it, and tells what it comes to'
                    : undefined
              }
              onPointerEnter={() => rest(fix)}
              onFocus={() => rest(fix)}
              onClick={() => (fix.asks ? setAsking(fix) : take(fix))}
            >
              {fix.label}
            </button>
          ))}
          <Link
            className="quiet-action"
            to={`/brands/${brand.id}/pages?page=${finding.page}&section=${finding.section}`}
          >
            Go to the page
          </Link>
          {canWrite && finding.outcome === 'fail' && !finding.waived && !waiving && (
            <button type="button" className="quiet-action" disabled={busy !== ''} onClick={() => setWaiving(true)}>
              Waive…
            </button>
          )}
          {canWrite && finding.waived && (
            <button type="button" className="quiet-action" onClick={back}>
              Take the waiver back
            </button>
          )}
        </div>
        {tried && trial.effect && <Effect effect={trial.effect} />}
        {asking && (
          <ReasonForm
            label={asking.asks ?? ''}
            example="The client’s anniversary, until the end of the year"
            action="Keep it"
            most={200}
            busy={busy !== ''}
            send={(reason) => take(answered(asking, reason))}
            close={() => setAsking(null)}
          />
        )}
        {waiving && <WaiveForm finding={finding} close={() => setWaiving(false)} />}
      </div>
    </li>
  );
}
