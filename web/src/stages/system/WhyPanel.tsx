import { pointer, type Conflict } from '../../api/client';
import { fullRatio, shownRatio } from '../../parts/color';
import { useBench } from '../../shell/bench';
import { conflictOf, roleName, roleWords, tokenOf, type Role } from './roles';

export type WhyPanelProps = {
  selected: Role | null;
  select: (role: Role) => void;
  wire: (role: Role, reference: string | null, label: string) => void;
};

const STEPS = [100, 200, 300, 400, 500, 600, 700, 800, 900];

/** Why a role has its colour, with numbers, and what else it could have. Conflicts come first. */
export function WhyPanel({ selected, select, wire }: WhyPanelProps) {
  const { brand, system, choices } = useBench();
  const conflict = selected ? conflictOf(system, selected) : system.conflicts[0];
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
  const token = tokenOf(system, selected);
  const name = roleName(selected);
  const pair = system.pairs.find(
    (one) =>
      one.ground === selected.ground &&
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
          {roleWords(selected).slice(1)}: <span className="mono">{token?.css}</span>
          {pair && selected.ink && `, ${fullRatio(pair.ratio)}`}
        </b>
        <span className={`origin origin-${token?.origin}`}>{token?.origin}</span>
        {choices.wires?.[name] !== undefined && (
          <button type="button" className="quiet-action" onClick={() => wire(selected, null, '')}>
            As derived
          </button>
        )}
      </div>
      {conflict ? <ConflictView conflict={conflict} select={select} /> : <p className="soft">{token?.reason}</p>}
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
                  aria-pressed={token?.css.toLowerCase() === hex}
                  title={label}
                  onClick={() => wire(selected, own ? row.id : reference, own ? row.name : `${row.name} ${step}`)}
                />
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}

/** A conflict with its numbers and its ways out, each one click. */
function ConflictView({ conflict, select }: { conflict: Conflict; select: (role: Role) => void }) {
  const { change, say, system } = useBench();
  const ink = conflict.ink.split('/')[0] ?? '';
  const uses = system.uses
    .filter((use) => use.ground === conflict.ground && use.ink.split('/')[0] === ink)
    .reduce((sum, use) => sum + use.count, 0);
  const take = async (index: number) => {
    const way = conflict.alternatives?.[index];
    if (!way) return;
    const path = pointer('wires', way.role);
    const patch = way.reference ? { op: 'add' as const, path, value: way.reference } : { op: 'remove' as const, path };
    if (await change(`${way.label} for ${way.role.replace('/', ' ')}`, [{ document: 'choices', patch: [patch] }])) {
      const [ground = '', ink = null] = way.role.split('/');
      say(`${way.label} is used now.`);
      select({ ground, ink });
    }
  };
  return (
    <div className="conflict">
      <p>
        <span className="mark-stop" aria-hidden="true" /> <b>{conflict.message}</b>{' '}
        {conflict.code === 'contrast-unmet' && <span className="mono soft">WCAG 2.2 · 1.4.3</span>}
        {conflict.code === 'contrast-unmet' && (
          <span className="soft"> {uses ? `Used ${uses} ${uses === 1 ? 'time' : 'times'}.` : 'No page uses it.'}</span>
        )}
      </p>
      <div className="ways">
        {conflict.alternatives?.map((way, index) => (
          <button key={way.label} type="button" className="way" onClick={() => void take(index)}>
            {way.color && <i style={{ background: way.color }} />}
            {way.label}
            {way.ratio > 0 && <span className="mono">{shownRatio(way.ratio)}</span>}
            {way.delta_e > 0 && <span className="mono soft">ΔE {way.delta_e.toFixed(0)}</span>}
          </button>
        ))}
      </div>
    </div>
  );
}
