import { useCallback, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { pointer, type Operation } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { GroundCard } from './GroundCard';
import { litOf, roleWords, wireName, type Role } from './roles';
import { WhyPanel } from './WhyPanel';
import { MoreInks } from './MoreInks';
import { OtherScheme } from './OtherScheme';
import { NearColors } from './NearColors';
import { Wires, type Carry } from './Wires';
import { GROUNDS } from '../../parts/grounds';
import { counted } from '../../parts/counted';

const otherOf = (scheme: string) => (scheme === 'dark' ? 'light' : 'dark');

/** Colour as wiring: exact colours on the left, grounds drawn small on the right, lines between them. */
export function Wiring() {
  const { brand, choices, canWrite, look, system } = useShown('brand', 'choices', 'canWrite', 'look', 'system');
  const { change, light } = useActions();
  const colors = brand.identity.body.colors ?? [];
  const schemes = system.schemes;
  const [other, setOther] = useState<{ role: Role; reference: string; label: string } | null>(null);
  const [carry, setCarry] = useState<Carry>(null);
  const [selected, setSelected] = useState<Role | null>(null);
  const [board, setBoard] = useState<HTMLDivElement | null>(null);

  const wire = useCallback(
    (role: Role, reference: string | null, label: string) => {
      const name = wireName(role, look.scheme);
      const has = choices.wires?.[name] !== undefined;
      if (reference === null && !has) return;
      const path = pointer('wires', name);
      const operation: Operation = reference === null ? { op: 'remove', path } : { op: 'add', path, value: reference };
      void change(reference === null ? `${roleWords(role)}: as derived` : `${label} for ${roleWords(role)}`, [
        { document: CHOICES, patch: [operation] },
      ]);
      // A ground has another colour in each scheme, so what the other one does is asked and not guessed.
      const asks =
        reference !== null && schemes.length > 1 && choices.wires?.[wireName(role, otherOf(look.scheme))] !== reference;
      setOther(asks ? { role, reference, label } : null);
    },
    [change, choices.wires, look.scheme, schemes],
  );
  const select = useCallback(
    (role: Role) => {
      setSelected(role);
      light(litOf(role));
    },
    [light],
  );
  // The reasons below take room, more of it when their ways out are told: the chosen ground is kept in sight.
  const chosen = selected?.ground;
  useEffect(() => {
    const scroller = board?.parentElement;
    if (!chosen || !scroller) return;
    const observer = new ResizeObserver(() =>
      board.querySelector(`[data-ground-card="${chosen}"]`)?.scrollIntoView({ block: 'nearest' }),
    );
    observer.observe(scroller);
    return () => observer.disconnect();
  }, [chosen, board]);
  const press = useCallback(
    (role: Role) => {
      if (carry) {
        wire(role, carry.reference, carry.label);
        setCarry(null);
      }
      select(role);
    },
    [carry, select, wire],
  );

  // A wire is drawn with the mouse from a colour and let go on a role.
  const dragging = carry?.point != null;
  useEffect(() => {
    if (!dragging || !carry) return;
    const place = (event: PointerEvent) => {
      const box = board?.getBoundingClientRect();
      return box ? { x: event.clientX - box.left, y: event.clientY - box.top } : null;
    };
    const move = (event: PointerEvent) => setCarry((now) => (now ? { ...now, point: place(event) } : now));
    const up = (event: PointerEvent) => {
      const under = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-role]');
      const [ground, ink] = under?.dataset['role']?.split('/') ?? [];
      if (ground) {
        const role = { ground, ink: ink ?? null };
        wire(role, carry.reference, carry.label);
        select(role);
        setCarry(null);
      } else if (document.elementFromPoint(event.clientX, event.clientY)?.closest('.wire-source')) {
        setCarry((now) => (now ? { ...now, point: null } : now));
      } else setCarry(null);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up, { once: true });
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
    };
  }, [board, dragging, carry, select, wire]);

  if (!colors.length)
    return (
      <div className="empty">
        <h2>No colours yet</h2>
        <p>The system grows out of the brand’s exact colours. Until there are some, pages stand in near-greys.</p>
        <Link className="main-action" to={`/brands/${brand.id}/identity`}>
          Add the brand’s colours
        </Link>
      </div>
    );
  return (
    <div
      className="color-facet"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && carry) {
          event.stopPropagation();
          setCarry(null);
        }
      }}
    >
      <div className="wire-scroll">
        <div className="wire-board" ref={setBoard}>
          <div className="wire-column">
            <h2>Brand colours, exact</h2>
            <ul className="wire-sources">
              {colors.map((color) => {
                const id = color.id ?? '';
                const carried = carry?.reference === id;
                return (
                  <li key={id}>
                    <button
                      type="button"
                      className="wire-source"
                      data-source={id}
                      aria-pressed={carried}
                      disabled={!canWrite}
                      title={`Lead ${color.name} to a ground, an ink or a button`}
                      onPointerDown={(event) => {
                        if (event.button !== 0) return;
                        const box = board?.getBoundingClientRect();
                        if (box && !carried)
                          setCarry({
                            reference: id,
                            label: color.name,
                            point: { x: event.clientX - box.left, y: event.clientY - box.top },
                          });
                      }}
                      onClick={(event) => {
                        // A key, not the mouse, which has its own way.
                        if (event.detail === 0)
                          setCarry(carried ? null : { reference: id, label: color.name, point: null });
                        else if (carried && !dragging) setCarry(null);
                      }}
                    >
                      <span className="wire-face" style={{ background: color.value }} />
                      <span className="wire-line">
                        <b>{color.name}</b>
                        <span className="mono soft">{color.value}</span>
                      </span>
                    </button>
                  </li>
                );
              })}
            </ul>
            <NearColors />
            <p className="wire-note soft">
              Derived: {counted(colors.length, 'ramp')}, and one neutral in the brand’s tint.
            </p>
          </div>
          <div className="wire-column">
            <h2 aria-live="polite">
              {carry ? `Lead ${carry.label} to a ground, an ink or a button` : 'Grounds, as pages use them'}
            </h2>
            {GROUNDS.map((ground) => (
              <GroundCard key={ground} ground={ground} selected={selected} carrying={carry !== null} press={press} />
            ))}
            <MoreInks selected={selected} press={press} />
          </div>
          <Wires board={board} carry={carry} selected={selected} choose={select} />
        </div>
      </div>
      {other && (
        <OtherScheme
          role={other.role}
          label={other.label}
          scheme={otherOf(look.scheme)}
          lead={() => {
            const path = pointer('wires', wireName(other.role, otherOf(look.scheme)));
            void change(`${other.label} for ${roleWords(other.role)}, ${otherOf(look.scheme)}`, [
              { document: CHOICES, patch: [{ op: 'add', path, value: other.reference }] },
            ]);
            setOther(null);
          }}
          leave={() => setOther(null)}
        />
      )}
      <WhyPanel selected={selected} select={select} wire={wire} />
    </div>
  );
}
