import type { Finding, Fix, Mending, RuleCard } from '../../api/client';
import { useMendings } from '../../api/preflight';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { effectOf } from './Effect';
import { idOf } from './findings';

export type MendingsProps = {
  findings: Finding[];
  busy: string;
  take: (fix: Fix) => void;
  nameOf: (page: string) => string;
  rules: RuleCard[];
};

/** The changes that would mend most, each with what it ends. */
export function Mendings({ findings, busy, take, nameOf, rules }: MendingsProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const known = useMendings(brand.id, stampOf(brand), findings.length > 1);
  if (findings.length < 2) return null;
  if (known.isPending) return <p className="mendings-wait soft">Working out what one change would mend…</p>;
  const several = known.data?.mendings.filter((one) => one.ends.length > 1) ?? [];
  if (!several.length) return null;
  const titleOf = (rule?: string) => rules.find((one) => one.id === rule)?.title;
  const named = (one: Mending) =>
    one.ends
      .map((place) => findings.find((finding) => idOf(finding) === idOf(place)))
      .filter((finding) => finding !== undefined);
  return (
    <section className="mendings" aria-labelledby="mendings">
      <h3 id="mendings">One change would mend most</h3>
      <ul>
        {several.map((one) => (
          <li key={one.label + one.ends.length}>
            <b className="mendings-count">{one.ends.length}</b>
            <div>
              <p>
                <b>{one.label}</b> <span className="soft">{titleOf(named(one)[0]?.rule)}</span>
              </p>
              <p className="soft">{effectOf(one)}</p>
              <details>
                <summary>What it ends</summary>
                <ul>
                  {named(one).map((finding) => (
                    <li key={idOf(finding)}>
                      {nameOf(finding.page)}: {finding.message}
                    </li>
                  ))}
                </ul>
              </details>
            </div>
            <button
              type="button"
              className="best"
              disabled={!canWrite || busy !== ''}
              onClick={() => take({ label: one.label, changes: one.changes, predicted: null, asks: '' })}
            >
              Take it
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
