import { useRef, useState } from 'react';
import type { Finding, Fix, Preflight } from '../../api/client';
import { useGates } from '../../api/languages';
import { allOf, useMeasure, useMeasuring, usePreflight } from '../../api/preflight';
import { stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { Tabs } from '../../parts/Tabs';
import { Toggles } from '../../parts/Toggles';
import { BeforePanel } from './BeforePanel';
import { FindingRow } from './FindingRow';
import { FirstSeenPanel } from './FirstSeenPanel';
import { FAMILIES, familyOf, grouped, idOf, stops, type Group, type Grouping } from './findings';
import { Gate } from './Gate';
import { InkTable } from './InkTable';
import { holds, LanguageGates } from './LanguageGates';
import { Mendings } from './Mendings';
import { RulesPanel } from './RulesPanel';

const WAIVED = 'waived';
const GROUPINGS = [
  { id: 'mending', name: 'By what mends most' },
  { id: 'page', name: 'By page' },
  { id: 'rule', name: 'By rule' },
] as const;
const TABS = [
  { id: 'inks', name: 'Inks on grounds' },
  { id: 'first', name: 'First seen' },
  { id: 'rules', name: 'Rules' },
  { id: 'before', name: 'Old site' },
];

/** How many rules have looked at every page, and how many wait for a browser. */
function looked(data: Preflight): string {
  const rules = data.rules.filter((one) => one.severity !== 'off');
  const waiting = data.measuring.done < data.measuring.total ? rules.filter((one) => one.browser).length : 0;
  const count = `${counted(rules.length - waiting, 'rule')} looked at every page`;
  return waiting ? `${count}; ${waiting} more ask for what only a browser sees.` : `${count}.`;
}

/** Stage 4: what the checks found, with the place, the numbers, and fixes to take. */
export function PreflightStage() {
  const { brand } = useShown('brand');
  const { change, say, report } = useActions();
  const stamp = stampOf(brand);
  const measuring = useMeasuring(brand.id, stamp);
  const measure = useMeasure(brand.id, stamp);
  const preflight = usePreflight(brand.id, stamp);
  const gates = useGates(brand).data?.languages ?? [];
  const [family, setFamily] = useState('');
  const [grouping, setGrouping] = useState<Grouping>('mending');
  const [side, setSide] = useState('inks');
  const [busy, setBusy] = useState('');
  const head = useRef<HTMLHeadingElement>(null);
  const data = preflight.data;
  if (!data)
    return (
      <div className="empty">
        <p role="status">{preflight.isError ? preflight.error.message : 'Checking all pages…'}</p>
      </div>
    );
  const nameOf = (page: string) =>
    brand.pages.find((one) => one.body.id === page)?.body.name ?? (page || 'The whole site');
  const open = data.findings.filter((finding) => !finding.waived);
  const waived = data.findings.filter((finding) => finding.waived);
  const families = [...new Set(data.rules.map((rule) => familyOf(rule.id)))];
  const shown = family === WAIVED ? waived : open.filter((finding) => !family || finding.rule.startsWith(`${family}/`));
  const count = (name: string, stop: boolean) =>
    open.filter((finding) => (!name || finding.rule.startsWith(`${name}/`)) && stops(finding) === stop).length;
  const waiting = gates.some(holds);
  const held = count('', true) > 0 || waiting;
  const taken = async (label: string, fix: Fix, seen = false) => {
    setBusy(fix.label);
    if (await change(label.slice(0, 200), fix.changes as never)) {
      say(`Done: ${fix.label}`);
      // Whether it mends what only a browser saw is told by nothing else.
      if (seen) measure.start.mutate(undefined, { onError: report });
    }
    setBusy('');
    // What was found is gone, and the focus with it; the list takes it.
    head.current?.focus();
  };
  const mendAll = async (group: Group) => {
    if (!group.rule) return;
    setBusy(group.name);
    try {
      const mending = await allOf(brand.id, group.rule.id);
      if (mending.changes.length)
        await taken(`${group.name}: ${mending.label}`, {
          label: mending.left ? `${mending.label}, ${mending.left} left` : mending.label,
          changes: mending.changes,
          predicted: null,
          asks: '',
        });
      else say('None of these has a fix that can be worked out.', false);
    } catch (error) {
      report(error);
    }
    setBusy('');
  };
  const row = (finding: Finding) => (
    <FindingRow
      key={idOf(finding)}
      finding={finding}
      rule={data.rules.find((rule) => rule.id === finding.rule)}
      busy={busy}
      current={!preflight.isPlaceholderData}
      take={(fix) => void taken(`${fix.label}: ${finding.message}`, fix, finding.basis === 'measured')}
    />
  );
  const title = family === WAIVED ? 'Waived' : family ? (FAMILIES[family] ?? family) : 'All findings';
  return (
    <div className="preflight">
      <div className="families">
        <Gate data={data} held={held} measuring={measuring} nameOf={nameOf} />
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
        {waived.length > 0 && (
          <button type="button" aria-pressed={family === WAIVED} onClick={() => setFamily(WAIVED)}>
            <span>Waived</span>
            <em className="z" />
            <em>{waived.length}</em>
          </button>
        )}
      </div>
      <div className="findings">
        <div className="findings-head">
          <h2 ref={head} tabIndex={-1}>
            {title}
          </h2>
          {shown.length > 1 && <Toggles label="Findings" options={GROUPINGS} shown={grouping} show={setGrouping} />}
          <span role="status">{counted(shown.length, 'finding')}</span>
        </div>
        {!family && <LanguageGates gates={gates} />}
        {shown.length === 0 && (
          <div className="empty">
            <h2>Nothing found</h2>
            <p>
              {family
                ? 'All checks of this family pass.'
                : waiting
                  ? 'All checks pass in the site’s own language.'
                  : waived.length
                    ? 'What is left is waived. The site can be released.'
                    : 'All checks pass. The site can be released.'}{' '}
              {looked(data)}
            </p>
          </div>
        )}
        {!family && grouping === 'mending' && (
          <Mendings
            findings={open}
            busy={busy}
            nameOf={nameOf}
            rules={data.rules}
            take={(fix) => void taken(`${fix.label}, on the whole site`, fix)}
          />
        )}
        {grouping === 'mending' ? (
          <ol>{shown.map(row)}</ol>
        ) : (
          grouped(shown, grouping, data.rules, nameOf).map((group) => (
            <section key={group.id} className="finding-group" aria-label={group.name}>
              <header>
                <h3>{group.name}</h3>
                <span className="soft">{counted(group.findings.length, 'finding')}</span>
                {group.rule && group.findings.length > 1 && family !== WAIVED && (
                  <button type="button" disabled={busy !== ''} onClick={() => void mendAll(group)}>
                    {busy === group.name ? 'Mending…' : `Mend all ${group.findings.length}`}
                  </button>
                )}
              </header>
              <ol>{group.findings.map(row)}</ol>
            </section>
          ))
        )}
      </div>
      <div className="preflight-side">
        <Tabs label="Beside the findings" prefix="side" tabs={TABS} shown={side} show={setSide} />
        <div id="side-panel" role="tabpanel" aria-labelledby={`side-${side}`}>
          {side === 'inks' ? (
            <InkTable />
          ) : side === 'first' ? (
            <FirstSeenPanel waiting={(measuring.data?.waiting ?? 0) > 0} />
          ) : side === 'rules' ? (
            <RulesPanel rules={data.rules} />
          ) : (
            <BeforePanel data={data} />
          )}
        </div>
      </div>
    </div>
  );
}
