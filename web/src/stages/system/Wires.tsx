import { useLayoutEffect, useState } from 'react';
import { useShown } from '../../bench/useBench';
import { conflictOf, pathOf, roleName, roleWords, sourceOf, type Role } from './roles';
import { GROUNDS } from '../../parts/grounds';

/** A colour that is being led to a role. */
export type Carry = { reference: string; label: string; point: { x: number; y: number } | null } | null;

export type WiresProps = {
  board: HTMLDivElement | null;
  carry: Carry;
  selected: Role | null;
  /** A role whose line was pressed. */
  choose: (role: Role) => void;
};

type Wire = {
  key: string;
  d: string;
  thick: boolean;
  lit: boolean;
  bad: boolean;
  near: boolean;
  middle: { x: number; y: number };
  role: Role;
  reason: string;
};

const INKS = ['heading', 'link', 'primary'];
function curve(x1: number, y1: number, x2: number, y2: number): string {
  const bend = (x2 - x1) * 0.55;
  return `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`;
}

/** The lines from exact colours to the roles that they fill. */
export function Wires({ board, carry, selected, choose }: WiresProps) {
  const { brand, system, token, look } = useShown('brand', 'system', 'token', 'look');
  const [drawn, setDrawn] = useState<{
    wires: Wire[];
    ends: { x: number; y: number }[];
    width: number;
    height: number;
  }>({
    wires: [],
    ends: [],
    width: 0,
    height: 0,
  });
  const ids = (brand.identity.body.colors ?? []).map((color) => color.id ?? '');
  const idKey = ids.join(' ');
  useLayoutEffect(() => {
    const element = board;
    if (!element) return;
    const draw = () => {
      const own = element.getBoundingClientRect();
      const sources = new Map<string, { x: number; y: number }>();
      element.querySelectorAll<HTMLElement>('[data-source]').forEach((source) => {
        const face = source.querySelector('.wire-face')?.getBoundingClientRect();
        if (face)
          sources.set(source.dataset['source'] ?? '', {
            x: face.right - own.left,
            y: face.top - own.top + face.height / 2,
          });
      });
      const wires: Wire[] = [];
      const brandIds = idKey.split(' ');
      for (const ground of GROUNDS) {
        const card = element.querySelector<HTMLElement>(`[data-ground-card="${ground}"]`)?.getBoundingClientRect();
        if (!card) continue;
        for (const ink of [null, ...INKS]) {
          const role = { ground, ink };
          const from = sources.get(sourceOf(system, token(pathOf(role)), brandIds, role) ?? '');
          if (!from) continue;
          const target = element
            .querySelector<HTMLElement>(`button[data-role="${roleName(role)}"]`)
            ?.getBoundingClientRect();
          const y = ink && target ? target.top - own.top + target.height / 2 : card.top - own.top + 8;
          const x = card.left - own.left - 2;
          wires.push({
            key: roleName(role),
            d: curve(from.x, from.y, x, y),
            thick: ink === null,
            lit: selected?.ground === ground && selected.ink === ink,
            bad: conflictOf(system, role, look.scheme) !== undefined,
            near: selected?.ground === ground,
            middle: { x: (from.x + x) / 2, y: (from.y + y) / 2 },
            role,
            reason: conflictOf(system, role, look.scheme)?.message ?? token(pathOf(role))?.reason ?? '',
          });
        }
      }
      setDrawn({ wires, ends: [...sources.values()], width: own.width, height: element.scrollHeight });
    };
    draw();
    const observer = new ResizeObserver(draw);
    observer.observe(element);
    return () => observer.disconnect();
  }, [board, idKey, system, selected, token, look.scheme]);
  const [pointed, setPointed] = useState<string | null>(null);
  // The reason stands on the line that is pointed at; that of the chosen role is told below the board.
  const told = drawn.wires.find((wire) => wire.key === pointed);
  const start = carry && drawn.ends[ids.indexOf(carry.reference)];
  return (
    <>
      <svg className="wires" width={drawn.width} height={drawn.height} aria-hidden="true">
        {[...drawn.wires]
          .sort((a, b) => Number(a.lit) - Number(b.lit))
          .map((wire) => (
            <g
              key={wire.key}
              className={`wire${wire.thick || wire.near ? '' : ' faint'}${wire.lit || wire.key === pointed ? ' lit' : ''}${wire.bad ? ' bad' : ''}`}
            >
              {!carry && (
                <path
                  className="wire-reach"
                  data-wire={wire.key}
                  d={wire.d}
                  strokeWidth={11}
                  onPointerEnter={() => setPointed(wire.key)}
                  onPointerLeave={() => setPointed((now) => (now === wire.key ? null : now))}
                  onClick={() => choose(wire.role)}
                />
              )}
              <path d={wire.d} strokeWidth={wire.thick ? 3 : 1.6} />
              {wire.bad && (
                <path
                  className="wire-cross"
                  d={`M${wire.middle.x - 5} ${wire.middle.y - 5}l10 10m0-10-10 10`}
                  strokeWidth={2.4}
                />
              )}
            </g>
          ))}
        {start && carry?.point && (
          <g className="wire lit">
            <path d={curve(start.x, start.y, carry.point.x, carry.point.y)} strokeWidth={3} />
          </g>
        )}
        {drawn.ends.map((end, index) => (
          <circle key={index} cx={end.x} cy={end.y} r={4} className={start === end ? 'lit' : undefined} />
        ))}
      </svg>
      {told && !carry && (
        <div className="wire-reason" style={{ left: told.middle.x, top: told.middle.y }} aria-hidden="true">
          <b>{roleWords(told.role)}</b> {told.reason}
        </div>
      )}
    </>
  );
}
