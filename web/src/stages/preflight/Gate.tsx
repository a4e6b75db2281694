import type { UseQueryResult } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Measuring, Preflight } from '../../api/client';
import { useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { MeasuringBox } from './MeasuringBox';

export type GateProps = {
  data: Preflight;
  held: boolean;
  measuring: UseQueryResult<Measuring>;
  nameOf: (page: string) => string;
};

/** Whether the site can be released, what that rests on, and the report to hand over. */
export function Gate({ data, held, measuring, nameOf }: GateProps) {
  const { brand } = useShown('brand');
  const passed = data.counts['pass'] ?? 0;
  const failed = data.counts['fail'] ?? 0;
  const report = `/api/brands/${brand.id}/preflight/report`;
  return (
    <div className="gate">
      <b>{held ? 'Not ready to release' : 'Ready to release'}</b>
      <div className="meter">
        <i style={{ width: `${(100 * passed) / Math.max(1, passed + failed)}%` }} />
        <u style={{ width: `${(100 * failed) / Math.max(1, passed + failed)}%` }} />
      </div>
      <p className="soft">
        {passed.toLocaleString('en-GB')} of {(passed + failed).toLocaleString('en-GB')} checks pass on{' '}
        {counted(brand.pages.length, 'page')} × 4 widths as predicted, {data.schemes.join(' and ')}.
      </p>
      <MeasuringBox measuring={measuring} nameOf={nameOf} />
      {data.undrawn.length > 0 && (
        <details className="undrawn">
          <summary>System counts {counted(data.undrawn.length, 'conflict')} that stop nothing here</summary>
          <ul>
            {data.undrawn.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </details>
      )}
      <p className="soft">
        Report:{' '}
        <a href={`${report}.html`} target="_blank" rel="noreferrer">
          page
        </a>
        ,{' '}
        <a href={`${report}.pdf`} download>
          PDF
        </a>
      </p>
      {!held && (
        <Link className="main-action" to={`/brands/${brand.id}/release`}>
          Go to release
        </Link>
      )}
    </div>
  );
}
