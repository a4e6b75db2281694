import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Finding, Fix } from '../../api/client';
import { usePreflight } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { useGates } from '../../api/languages';
import { FindingRow } from './FindingRow';
import { InkTable } from './InkTable';
import { holds, LanguageGates } from './LanguageGates';
import { counted } from '../../parts/counted';

const FAMILIES: Record<string, string> = {
  contrast: 'Contrast',
  interaction: 'Interaction',
  pictures: 'Pictures',
  content: 'Content',
  links: 'Links',
  forms: 'Forms',
  type: 'Type',
  structure: 'Structure',
  layout: 'Layout',
  publishing: 'Publishing',
  code: 'Own code',
  brand: 'Brand',
  consistency: 'Consistency',
};

const stops = (finding: Finding) => finding.severity === 'stop' && finding.outcome === 'fail';

/** Stage 4: what the checks found, with the place, the numbers, and fixes to take. */
export function PreflightStage() {
  const { brand } = useShown('brand');
  const { change, say } = useActions();
  const preflight = usePreflight(brand.id, stampOf(brand));
  const gates = useGates(brand).data?.languages ?? [];
  const [family, setFamily] = useState('');
  const [busy, setBusy] = useState('');
  const head = useRef<HTMLHeadingElement>(null);
  const data = preflight.data;
  if (!data)
    return (
      <div className="empty">
        <p role="status">{preflight.isError ? preflight.error.message : 'Checking all pages…'}</p>
      </div>
    );
  const families = [...new Set(data.rules.map((rule) => rule.id.split('/')[0] ?? ''))];
  const found = data.findings.filter((finding) => !family || finding.rule.startsWith(`${family}/`));
  const count = (name: string, stop: boolean) =>
    data.findings.filter((finding) => (!name || finding.rule.startsWith(`${name}/`)) && stops(finding) === stop).length;
  const passed = data.counts['pass'] ?? 0;
  const failed = data.counts['fail'] ?? 0;
  const stopCount = count('', true);
  const waiting = gates.some(holds);
  const take = async (finding: Finding, fix: Fix) => {
    setBusy(fix.label);
    if (await change(`${fix.label}: ${finding.message}`.slice(0, 200), fix.changes as never)) say(`Done: ${fix.label}`);
    setBusy('');
    // The finding is gone, and the focus with it; the list takes it.
    head.current?.focus();
  };
  return (
    <div className="preflight">
      <div className="families">
        <div className="families-head">
          <span>Family</span>
          <span>Stop</span>
          <span>Note</span>
        </div>
        {['', ...families].map((name) => (
          <button key={name} type="button" aria-pressed={family === name} onClick={() => setFamily(name)}>
            <span>{name ? (FAMILIES[name] ?? name) : 'All findings'}</span>
            <em className={count(name, true) ? 's' : 'z'}>{count(name, true)}</em>
            <em className={count(name, false) ? undefined : 'z'}>{count(name, false)}</em>
          </button>
        ))}
        <div className="gate">
          <b>{stopCount || waiting ? 'Not ready to release' : 'Ready to release'}</b>
          <div className="meter">
            <i style={{ width: `${(100 * passed) / Math.max(1, passed + failed)}%` }} />
            <u style={{ width: `${(100 * failed) / Math.max(1, passed + failed)}%` }} />
          </div>
          <p className="soft">
            {passed.toLocaleString('en-GB')} of {(passed + failed).toLocaleString('en-GB')} checks pass on{' '}
            {counted(brand.pages.length, 'page')} × 4 widths, {data.schemes.join(' and ')}. Predicted from the fonts and
            tokens, not measured.
          </p>
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
          {!stopCount && !waiting && (
            <Link className="main-action" to={`/brands/${brand.id}/release`}>
              Go to release
            </Link>
          )}
        </div>
      </div>
      <div className="findings">
        <div className="findings-head">
          <h2 ref={head} tabIndex={-1}>
            {family ? FAMILIES[family] : 'All findings'}
          </h2>
          <span role="status">{counted(found.length, 'finding')}</span>
        </div>
        {!family && <LanguageGates gates={gates} />}
        {found.length === 0 && (
          <div className="empty">
            <h2>Nothing found</h2>
            <p>
              {family
                ? 'All checks of this family pass.'
                : waiting
                  ? 'All checks pass in the site’s own language.'
                  : 'All checks pass. The site can be released.'}{' '}
              {counted(data.rules.length, 'rule')} looked at every page.
            </p>
          </div>
        )}
        <ol>
          {found.map((finding) => (
            <FindingRow
              key={`${finding.page} ${finding.key}`}
              finding={finding}
              rule={data.rules.find((rule) => rule.id === finding.rule)}
              busy={busy}
              current={!preflight.isPlaceholderData}
              take={(fix) => void take(finding, fix)}
            />
          ))}
        </ol>
      </div>
      <InkTable />
    </div>
  );
}
