import type { Conflict } from '../../api/client';
import { fullRatio, shownRatio } from '../../parts/color';
import { useActions, useShown } from '../../bench/useBench';
import { PinEditor } from './PinEditor';
import { conflictOf, pathOf, roleWords, standsOn, wireName, type Role } from './roles';
import { Ways } from './Ways';
import { counted } from '../../parts/counted';

export type WhyPanelProps = {
  selected: Role | null;
  select: (role: Role) => void;
  wire: (role: Role, reference: string | null, label: string) => void;
};

/** Inks that a colour can be led to, the ground itself ("") and the buttons; the others follow from these. */
const WIRED = [
  '',
  'heading',
  'body',
  'quiet',
  'link',
  'boundary',
  'line',
  'focus',
  'selection',
  'success',
  'warning',
  'error',
  'primary',
  'secondary',
];
const STEPS = [100, 200, 300, 400, 500, 600, 700, 800, 900];

/** Why a role has its colour, with numbers, and what else it could have. Conflicts come first. */
export function WhyPanel({ selected, select, wire }: WhyPanelProps) {
  const { brand, system, choices, token, look } = useShown('brand', 'system', 'choices', 'token', 'look');
  // Conflicts of what is stored: a way out that is only shown must not take itself away.
  const stored = brand.system;
  const own = stored.conflicts.filter((one) => one.scheme === look.scheme && !one.cause);
  const conflict = selected ? conflictOf(stored, selected, look.scheme) : own[0];
  if (!selected) {
    return (
      <div className="why" role="region" aria-label="Reasons">
        {conflict ? (
          <ConflictView conflict={conflict} select={select} />
        ) : (
          <p className="soft">
            Choose a part of a ground to see why it has its colour, and what else it could have. Or draw a line from a
            colour to it; with the keyboard, press Enter on the colour, then on the part.
          </p>
        )}
      </div>
    );
  }
  const found = token(pathOf(selected));
  const name = wireName(selected, look.scheme);
  const wired = WIRED.includes(selected.ink ?? '');
  const pair = system.pairs.find(
    (one) =>
      one.ground === selected.ground &&
      one.scheme === look.scheme &&
      one.ink ===
        (selected.ink === 'primary' || selected.ink === 'secondary' ? `${selected.ink}/label/rest` : selected.ink),
  );
  const required = selected.ink === 'primary' ? 0 : (pair?.required ?? 0);
  const fits = system.fits[selected.ground] ?? {};
  const colors = brand.identity.body.colors ?? [];
  const rows = [
    ...colors.map((color) => ({ name: color.name, id: color.id ?? '', steps: STEPS })),
    { name: 'Neutral', id: 'neutral', steps: STEPS },
  ];
  return (
    <div className="why" role="region" aria-label="Reasons">
      <div className="why-head">
        <b>
          {roleWords(selected)[0]?.toUpperCase()}
          {roleWords(selected).slice(1)}: <span className="mono">{found?.css}</span>
          {pair && selected.ink && `, ${fullRatio(pair.ratio)}`}
        </b>
        <span className={`origin origin-${found?.origin}`}>{found?.origin}</span>
        {choices.wires?.[name] !== undefined && (
          <button type="button" className="quiet-action" onClick={() => wire(selected, null, '')}>
            As derived
          </button>
        )}
        {found && (
          <PinEditor
            key={name}
            path={look.scheme === 'dark' ? `dark:${found.path}` : found.path}
            css={found.css}
            name={roleWords(selected)}
            on={standsOn(found.path, system, look.scheme)}
          />
        )}
      </div>
      {conflict ? <ConflictView conflict={conflict} select={select} /> : <p className="soft">{found?.reason}</p>}
      {wired && (
        <div className="why-ramps" role="group" aria-label={`Other colours for ${roleWords(selected)}`}>
          {rows.map((row) => (
            <div className="why-ramp" key={row.id}>
              <span>{row.name}</span>
              {row.steps.map((step) => {
                const exact = system.palette[row.id];
                const reference = `${row.id}/${step}`;
                const own = system.palette[reference] === undefined && exact !== undefined;
                const hex = own ? exact : system.palette[reference];
                if (!hex) return <i key={step} />;
                const ratio = fits[own ? row.id : reference] ?? 0;
                const fails = selected.ink !== null && ratio < required;
                const label = `${own ? row.name : `${row.name} ${step}`}, ${hex}${
                  selected.ink ? `, ${shownRatio(ratio)} to 1${required ? (fails ? ', fails' : ', passes') : ''}` : ''
                }`;
                return (
                  <button
                    key={step}
                    type="button"
                    className={`swatch${fails ? ' no' : ''}${own ? ' own' : ''}`}
                    style={{ background: hex }}
                    aria-label={label}
                    aria-pressed={found?.css.toLowerCase() === hex}
                    title={label}
                    onClick={() => wire(selected, own ? row.id : reference, own ? row.name : `${row.name} ${step}`)}
                  />
                );
              })}
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

/** The role that an ink's name belongs to: the main button for its label, and so on. */
function rootInk(ink: string): string | null {
  if (ink === 'background' || !ink) return null;
  const [first = null, part] = ink.split('/');
  return part && !['primary', 'secondary'].includes(first ?? '') ? (first === 'text' ? 'link' : null) : first;
}

/** A conflict with its numbers and its ways out. */
function ConflictView({ conflict, select }: { conflict: Conflict; select: (role: Role) => void }) {
  const { system } = useShown('system');
  const { say } = useActions();
  const ink = conflict.ink.split('/')[0] ?? '';
  const uses = system.uses
    .filter((use) => use.ground === conflict.ground && use.ink.split('/')[0] === ink)
    .reduce((sum, use) => sum + use.count, 0);
  const clause: Record<string, string> = {
    'contrast-unmet': conflict.required === 3 ? '1.4.11' : conflict.required === 7 ? '1.4.6' : '1.4.3',
    'ground-too-mid': '1.4.6',
    'link-like-text': '1.4.1',
  };
  return (
    <div className="conflict">
      <p>
        <span className="mark-stop" aria-hidden="true" /> <b>{conflict.message}</b>{' '}
        {clause[conflict.code] && <span className="mono soft">WCAG 2.2 · {clause[conflict.code]}</span>}
        {conflict.code === 'contrast-unmet' && (
          <span className="soft"> {uses ? `Used ${counted(uses, 'time')}.` : 'No page uses it.'}</span>
        )}
      </p>
      <Ways
        conflict={conflict}
        taken={(label) => {
          say(`${label} is used now.`);
          if (conflict.ground) select({ ground: conflict.ground, ink: rootInk(conflict.ink) });
        }}
      />
    </div>
  );
}
