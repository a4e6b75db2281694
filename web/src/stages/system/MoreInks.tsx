import { inkName } from '../../parts/inks';
import { useShown } from '../../bench/useBench';
import { conflictOf, pathOf, roleName, type Role } from './roles';

export type MoreInksProps = { selected: Role | null; press: (role: Role) => void };

const INKS = [
  'link-hover',
  'link-visited',
  'boundary',
  'line',
  'focus',
  'focus-inner',
  'selection',
  'selection-ink',
  'success',
  'warning',
  'error',
];

/** The inks of the chosen ground that its small composition has no room for. */
export function MoreInks({ selected, press }: MoreInksProps) {
  const { system, token, look } = useShown('system', 'token', 'look');
  const ground = selected?.ground;
  if (!ground) return null;
  return (
    <div className="more-inks" role="group" aria-label={`More inks on ${ground}`}>
      {INKS.map((ink) => {
        const role = { ground, ink };
        return (
          <button
            key={ink}
            type="button"
            data-role={roleName(role)}
            aria-pressed={selected.ink === ink}
            className={conflictOf(system, role, look.scheme) ? 'bad' : undefined}
            onClick={() => press(role)}
          >
            <i
              style={{
                background: token(pathOf(role))?.css,
                borderColor: token(`ground/${ground}/background`)?.css,
              }}
            />
            {inkName(ink)}
          </button>
        );
      })}
    </div>
  );
}
