import { useNavigate } from 'react-router';
import type { Resolved } from '../api/client';
import { shownRatio } from '../parts/color';
import { inkName } from '../parts/inks';
import { useActions, useShown } from '../bench/useBench';
import { counted } from '../parts/counted';

/** Letters on the patches: what kind of ink it is. */
const LETTERS: Record<string, string> = {
  heading: 'A',
  body: 'a',
  quiet: 'q',
  link: 'l',
  'primary/label/rest': 'b',
  'secondary/label/rest': 'b',
};

export type Patch = {
  ground: string;
  ink: string;
  foreground: string;
  background: string;
  ratio: number;
  required: number;
  count: number;
};

/** The pairs that pages use, grouped by ground; worst first, among grounds and within each. */
export function patchesOf(system: Resolved, scheme: string): Patch[][] {
  const groups = new Map<string, Patch[]>();
  for (const use of system.uses) {
    const pair = system.pairs.find((one) => one.scheme === scheme && one.ground === use.ground && one.ink === use.ink);
    if (!pair || pair.exempt || !LETTERS[use.ink]) continue;
    const patch = { ...pair, count: use.count };
    groups.set(use.ground, [...(groups.get(use.ground) ?? []), patch]);
  }
  const margin = (patch: Patch) => patch.ratio / patch.required;
  const sorted = [...groups.values()].map((group) => group.sort((a, b) => margin(a) - margin(b)));
  return sorted.sort((a, b) => margin(a[0] as Patch) - margin(b[0] as Patch));
}

export type ControlStripProps = { stage: string };

/** The row of live contrast patches along the foot. A patch lights its uses on the sheet. */
export function ControlStrip({ stage }: ControlStripProps) {
  const { brand, system, choices, lit, look } = useShown('brand', 'system', 'choices', 'lit', 'look');
  const { light } = useActions();
  const navigate = useNavigate();
  const groups = patchesOf(system, look.scheme);
  const all = system.schemes.flatMap((scheme) => patchesOf(system, scheme).flat());
  const failing = all.filter((patch) => patch.ratio < patch.required).length;
  const show = (patch: Patch) => {
    const same = lit?.ground === patch.ground && lit.ink === patch.ink;
    light(same ? null : { ground: patch.ground, ink: patch.ink });
    if (!same && stage !== 'system' && stage !== 'pages') void navigate(`/brands/${brand.id}/pages`);
  };
  return (
    <footer className="strip" aria-label="Contrast of the pairs in use">
      <div className="strip-lead">
        <b>{counted(all.length, 'pair')} in use</b>
        {system.schemes.length > 1 ? 'in both schemes' : 'worst first, by ground'}
      </div>
      <div className="patches">
        {groups.map((group) => (
          <div className="patch-group" key={group[0]?.ground}>
            {group.map((patch) => {
              const fails = patch.ratio < patch.required;
              const name = `${inkName(patch.ink)} on ${patch.ground}`;
              const verdict = `${fails ? 'fails' : 'passes'}, ${counted(patch.count, 'use')}`;
              return (
                <button
                  key={patch.ink}
                  type="button"
                  className={`patch${fails ? ' no' : ''}`}
                  aria-pressed={lit?.ground === patch.ground && lit.ink === patch.ink}
                  title={`${name}, needs ${patch.required}, ${verdict}`}
                  onClick={() => show(patch)}
                >
                  <span className="visually-hidden">{name}, </span>
                  <span
                    className="patch-face"
                    aria-hidden="true"
                    style={{ background: patch.background, color: patch.foreground }}
                  >
                    {LETTERS[patch.ink]}
                  </span>
                  <span className="patch-ratio">
                    {shownRatio(patch.ratio)}
                    {fails ? <span aria-hidden="true"> ✕</span> : null}
                  </span>
                  <span className="visually-hidden">
                    {' '}
                    to 1, needs {patch.required}, {verdict}
                  </span>
                </button>
              );
            })}
          </div>
        ))}
      </div>
      <div className="strip-sum">
        <b>
          {failing} of {all.length} {failing === 1 ? 'fails' : 'fail'}
        </b>
        {choices.policy} · {look.scheme}
      </div>
    </footer>
  );
}
