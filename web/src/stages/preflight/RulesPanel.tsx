import { useState } from 'react';
import type { RuleCard } from '../../api/client';
import { CHECKS } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { FAMILIES, familyOf } from './findings';

const NAMES: Record<string, string> = { stop: 'Stop', note: 'Note', off: 'Off' };

/** What the site is held to: each rule with its weight, and what a release waits for. */
export function RulesPanel({ rules }: { rules: RuleCard[] }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const [sought, setSought] = useState('');
  const checks = brand.checks.body;
  const put = (label: string, path: string, value: unknown) =>
    void change(label, [{ document: CHECKS, patch: [{ op: 'add', path, value }] }]);
  const weigh = (rule: RuleCard, weight: string) => {
    const path = `/weights/${rule.id.replaceAll('/', '~1')}`;
    if (weight !== rule.own) put(`${rule.title}: ${NAMES[weight]?.toLowerCase()}`, path, weight);
    else if (rule.id in (checks.weights ?? {}))
      void change(`${rule.title}: as declared`, [{ document: CHECKS, patch: [{ op: 'remove', path }] }]);
  };
  const words = sought.trim().toLowerCase();
  const shown = rules.filter((one) =>
    `${one.title} ${one.rationale} ${FAMILIES[familyOf(one.id)]}`.toLowerCase().includes(words),
  );
  const families = [...new Set(shown.map((one) => familyOf(one.id)))];
  return (
    <div className="rules">
      <label>
        <input
          type="checkbox"
          checked={checks.measured ?? true}
          disabled={!canWrite}
          onChange={(event) =>
            put(
              event.target.checked ? 'Releases wait for the browser' : 'Releases do not wait for the browser',
              '/measured',
              event.target.checked,
            )
          }
        />{' '}
        A release waits until a browser has seen its pages
      </label>
      <label>
        <input
          type="checkbox"
          checked={checks.notes_hold ?? false}
          disabled={!canWrite}
          onChange={(event) =>
            put(
              event.target.checked ? 'Notes hold a release back' : 'Notes hold nothing back',
              '/notes_hold',
              event.target.checked,
            )
          }
        />{' '}
        Notes hold a release back, too
      </label>
      <input
        type="search"
        className="form-control"
        aria-label="Look for a rule"
        placeholder={`Look through ${rules.length} rules`}
        value={sought}
        onChange={(event) => setSought(event.target.value)}
      />
      {families.length === 0 && <p className="soft">No rule says that.</p>}
      {families.map((family) => (
        <section key={family}>
          <h3>{FAMILIES[family] ?? family}</h3>
          <ul>
            {shown
              .filter((one) => familyOf(one.id) === family)
              .map((one) => (
                <li key={one.id} title={one.rationale}>
                  <span>{one.title}</span>
                  {one.fixed ? (
                    <span className="soft" title="The standard asks for it at level A or AA.">
                      Stop, always
                    </span>
                  ) : (
                    <select
                      aria-label={`Weight of: ${one.title}`}
                      value={checks.weights?.[one.id] ?? (one.severity === 'off' ? 'off' : one.own)}
                      disabled={!canWrite}
                      onChange={(event) => weigh(one, event.target.value)}
                    >
                      {Object.entries(NAMES).map(([id, name]) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                    </select>
                  )}
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
