import { pointer, type Operation } from '../../api/client';
import { CHOICES, IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** Brand colours that are nearly one, offered for merging: one goes, and what was led from it is led from the kept. */
export function NearColors() {
  const { brand, system, canWrite } = useShown('brand', 'system', 'canWrite');
  const { change } = useActions();
  const colors = brand.identity.body.colors ?? [];
  const wires = brand.choices.body.wires ?? {};
  const merge = (keep: string, drop: string) => {
    const index = colors.findIndex((color) => color.id === drop);
    const name = (id: string) => colors.find((color) => color.id === id)?.name ?? id;
    const moved: Operation[] = Object.entries(wires)
      .filter(([, reference]) => reference.split('/')[0] === drop)
      .map(([role, reference]) => ({
        op: 'replace',
        path: pointer('wires', role),
        value: reference.replace(drop, keep),
      }));
    void change(`${name(drop)} merged into ${name(keep)}`, [
      { document: IDENTITY, patch: [{ op: 'remove', path: pointer('colors', index) }] },
      ...(moved.length ? [{ document: CHOICES, patch: moved }] : []),
    ]);
  };
  return (
    <>
      {system.near.slice(0, 3).map(({ first, second, delta_e }) => {
        const [a, b] = [first, second].map((id) => colors.find((color) => color.id === id));
        if (!a || !b) return null;
        return (
          <div key={`${first} ${second}`} className="near-colors">
            <p>
              <b>{a.name}</b> and <b>{b.name}</b> are nearly one, ΔE {delta_e.toFixed(1)}.
            </p>
            <button type="button" className="link" disabled={!canWrite} onClick={() => merge(first, second)}>
              Keep {a.name}
            </button>{' '}
            <button type="button" className="link" disabled={!canWrite} onClick={() => merge(second, first)}>
              Keep {b.name}
            </button>
          </div>
        );
      })}
    </>
  );
}
