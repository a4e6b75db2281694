import type { Finding, Fix, RuleCard } from '../../api/client';

export const FAMILIES: Record<string, string> = {
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

export const familyOf = (rule: string) => rule.split('/')[0] ?? '';
export const stops = (finding: Finding) => finding.severity === 'stop' && finding.outcome === 'fail' && !finding.waived;
export const idOf = (finding: { page: string; key?: string }) => `${finding.page} ${finding.key ?? ''}`;

/** A measured figure with as many places as its unit needs: floored where a least is asked for, and ceiled where a most is, so that no failure reads as a pass. */
export function figure(value: number | null, unit: string, bound: RuleCard['bound'] = 'least'): string {
  if (value === null) return '';
  const counted = unit === 'lines' || (unit === '' && Number.isInteger(value));
  const places = counted ? 0 : unit === 'px' ? 1 : 2;
  const scale = 10 ** places;
  const whole = bound === 'most' ? Math.ceil(value * scale - 1e-9) : Math.floor(value * scale + 1e-9);
  return (whole / scale).toFixed(places);
}

export type Grouping = 'mending' | 'page' | 'rule';
export type Group = { id: string; name: string; rule?: RuleCard | undefined; findings: Finding[] };

/** Findings in groups, in the order of their first ones. */
export function grouped(
  findings: Finding[],
  by: 'page' | 'rule',
  rules: RuleCard[],
  nameOf: (page: string) => string,
): Group[] {
  const made = new Map<string, Group>();
  for (const finding of findings) {
    const id = by === 'page' ? finding.page : finding.rule;
    const rule = rules.find((one) => one.id === finding.rule);
    const known = made.get(id) ?? {
      id,
      name: by === 'page' ? nameOf(id) : (rule?.title ?? id),
      rule: by === 'rule' ? rule : undefined,
      findings: [],
    };
    known.findings.push(finding);
    made.set(id, known);
  }
  return [...made.values()];
}

/** A fix with what a person said in each place that it is left open for. */
export function answered(fix: Fix, said: string): Fix {
  const filled = (value: unknown): unknown => {
    if (value === '…') return said;
    if (Array.isArray(value)) return value.map(filled);
    if (value && typeof value === 'object')
      return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, filled(one)]));
    return value;
  };
  return { ...fix, changes: filled(fix.changes) as Fix['changes'] };
}
