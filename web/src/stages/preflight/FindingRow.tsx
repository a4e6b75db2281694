import { useRef } from 'react';
import { Link } from 'react-router';
import type { Finding, Fix, Preflight } from '../../api/client';
import { useFixes } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { useSeen } from '../../parts/useSeen';
import { Crop } from './Crop';

export type FindingRowProps = {
  finding: Finding;
  rule: Preflight['rules'][number] | undefined;
  busy: string;
  /** Whether the finding is of the pages as they are, and not of those before the last change. */
  current: boolean;
  take: (fix: Fix) => void;
};

/** A measured figure, floored, with as many places as its unit needs. */
function figure(value: number | null, unit: string): string {
  if (value === null) return '';
  const places = unit === 'lines' ? 0 : unit === 'px' ? 1 : 2;
  const scale = 10 ** places;
  return (Math.floor(value * scale + 1e-9) / scale).toFixed(places);
}

const UNITS: Record<string, string> = { ':1': 'measured, to 1', px: 'px', lines: 'lines' };

/** One finding: evidence, numbers, reason, fixes. */
export function FindingRow({ finding, rule, busy, current, take }: FindingRowProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const row = useRef<HTMLLIElement>(null);
  const seen = useSeen(row);
  const known = useFixes(brand.id, stampOf(brand), { page: finding.page, key: finding.key ?? '' }, seen && current);
  const page = brand.pages.find((one) => one.body.id === finding.page)?.body;
  const place = [
    page?.name ?? finding.page,
    finding.section.replaceAll('-', ' '),
    finding.width && `at ${finding.width} px`,
  ];
  const reference = rule?.references[finding.code];
  const stop = finding.severity === 'stop' && finding.outcome === 'fail';
  return (
    <li className="finding" ref={row}>
      <Crop finding={finding} />
      <div>
        <h3>
          <span className={stop ? 'mark-stop' : 'mark-note'} aria-hidden="true" />
          <span className="visually-hidden">
            {stop ? 'Stop: ' : finding.outcome === 'cannot-tell' ? 'Cannot tell: ' : 'Note: '}
          </span>
          {finding.message}
        </h3>
        <p className="soft">
          {place.filter(Boolean).join(' · ')}. {rule?.rationale}
        </p>
        <div className="figures">
          {finding.measured !== null && (
            <div className="x">
              <b>{figure(finding.measured, finding.unit)}</b>
              {UNITS[finding.unit] ?? 'measured'}
            </div>
          )}
          {finding.required !== null && (
            <div>
              <b>{figure(finding.required, finding.unit).replace(/\.0+$/, '')}</b>
              {finding.unit === 'lines' ? 'at most' : 'at least'}
            </div>
          )}
          {reference && (
            <div>
              <b>{reference.clause || '–'}</b>
              {`${reference.standard} ${reference.level}`.trim()}
            </div>
          )}
        </div>
        <div className="fixes">
          {known.isPending && <span className="soft">Working out fixes…</span>}
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
              title={fix.predicted != null ? `Then ${figure(fix.predicted, finding.unit)}` : undefined}
              onClick={() => take(fix)}
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
        </div>
      </div>
    </li>
  );
}
