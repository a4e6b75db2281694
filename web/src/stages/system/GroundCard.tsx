import { useShown } from '../../bench/useBench';
import { conflictOf, pathOf, roleName, type Role } from './roles';
import { shownRatio } from '../../parts/color';
import { percent, useShares } from '../../sheet/useShares';
import { counted } from '../../parts/counted';

export type GroundCardProps = {
  ground: string;
  selected: Role | null;
  carrying: boolean;
  press: (role: Role) => void;
};

/** A ground as a small live composition. Every part of it can be chosen, and a colour led to it. */
export function GroundCard({ ground, selected, carrying, press }: GroundCardProps) {
  const { brand, system, token, look } = useShown('brand', 'system', 'token', 'look');
  const css = (ink: string | null) => token(pathOf({ ground, ink }))?.css ?? '';
  const path = (end: string) => token(`ground/${ground}/${end}`)?.css ?? '';
  const identity = brand.identity.body;
  const underlined = brand.choices.body.links?.underlined ?? true;
  const fonts = (role: string) => token(`type/${role}/family`)?.css;
  const radius = token('shape/button-radius')?.css;
  const conflict = system.conflicts.find(
    (one) => one.ground === ground && one.code !== 'mark-unseen' && !one.cause && one.scheme === look.scheme,
  );
  // Navigation and footer stand in a row of their own each until they are chosen.
  const slim = (ground === 'navigation' || ground === 'footer') && selected?.ground !== ground;
  const sections = system.sections[ground] ?? 0;
  const share = useShares()?.[`ground/${ground}/background`];
  const part = (ink: string | null, label: string, words = '') => {
    const role = { ground, ink };
    return {
      type: 'button' as const,
      'data-role': roleName(role),
      'aria-label': words ? `${label} on ${ground}: ${words}` : undefined,
      'aria-pressed': selected?.ground === ground && selected.ink === ink,
      onClick: () => press(role),
      className: `part${conflictOf(system, role, look.scheme) ? ' part-no' : ''}`,
    };
  };
  const words = identity.strapline || identity.name;
  const sentence = (identity.does || 'What the brand does, in its own words.').split(/(?<=[.!?])\s/)[0] ?? '';
  const text = sentence.length > 36 ? `${sentence.slice(0, 34).replace(/\s\S*$/, '')}…` : sentence;
  return (
    <div
      className={`ground-card${slim ? ' slim' : ''}${selected?.ground === ground ? ' sel' : ''}${carrying ? ' can-drop' : ''}`}
      data-ground-card={ground}
    >
      <div className="ground-face" style={{ background: css(null), fontFamily: fonts('body') }} data-role={ground}>
        <button {...part('heading', 'Heading', words)} style={{ color: css('heading'), fontFamily: fonts('heading') }}>
          <span className="ground-heading">{words}</span>
        </button>
        {!slim && (
          <div className="ground-text">
            <button {...part('body', 'Text', text)} style={{ color: css('body') }}>
              {text}
            </button>{' '}
            <button
              {...part('link', 'Link', 'Link')}
              style={{ color: css('link'), textDecoration: underlined ? 'underline' : 'none' }}
            >
              Link
            </button>
          </div>
        )}
        {!slim && (
          <div className="ground-buttons">
            <button
              {...part('primary', 'Main button', 'Primary')}
              style={{ background: css('primary'), color: path('primary/label/rest'), borderRadius: radius }}
            >
              Primary
            </button>
            <button
              {...part('secondary', 'Second button', 'Second')}
              style={{
                color: css('secondary'),
                boxShadow: `inset 0 0 0 1.5px ${css('secondary')}`,
                borderRadius: radius,
              }}
            >
              Second
            </button>
            <button {...part('quiet', 'Quiet text', 'Quiet')} style={{ color: css('quiet') }}>
              Quiet
            </button>
          </div>
        )}
      </div>
      <button {...part(null, 'The ground')} className="ground-side">
        <b>
          {ground[0]?.toUpperCase() + ground.slice(1)}
          <span className="visually-hidden"> ground, </span>
        </b>
        <span>{sections === 0 ? 'not used' : `${counted(sections, 'section')}`}</span>
        {share !== undefined && sections > 0 && <span>{percent(share)} of area</span>}
        {conflict && (
          <span className="bad">
            {conflict.code === 'ground-too-mid' ? 'text' : conflict.ink.split('/')[0]}{' '}
            {conflict.unit === ':1' && `${shownRatio(conflict.measured ?? 0)}:1`}
          </span>
        )}
      </button>
    </div>
  );
}
