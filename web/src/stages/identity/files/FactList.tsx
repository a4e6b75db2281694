import { useState } from 'react';
import type { Fact, Sources } from '../../../api/client';
import { FactRow } from './FactRow';
import type { Intake } from './useIntake';

export type FactListProps = {
  sources: Sources;
  intake: Intake;
  disabled: boolean;
  /** The file of which alone the facts are shown; empty for all. */
  file: string;
  all: () => void;
};
type Action = 'accept' | 'lock' | 'reject' | 'reopen';

const KEYS: Record<string, Action> = { a: 'accept', l: 'lock', r: 'reject', o: 'reopen' };

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Whether a fact holds all words that are looked for: in its name, its values, its notes or the files that it was found in. */
function holds(fact: Fact, sought: string): boolean {
  const words = plain(sought).split(/\s+/).filter(Boolean);
  if (!words.length) return true;
  const found = fact.variants.flatMap((one) => [one.value, ...one.evidence.map((seen) => seen.file)]);
  const all = plain([fact.label, fact.note, fact.role, ...found].join(' '));
  return words.every((word) => all.includes(word));
}

const isOf = (fact: Fact, file: string) => fact.variants.some((one) => one.evidence.some((seen) => seen.file === file));

/** All facts by group. Arrows move, Space marks several, A, L, R and O decide. */
export function FactList({ sources, intake, disabled, file, all }: FactListProps) {
  const [marked, setMarked] = useState<string[]>([]);
  const [onlyOpen, setOnlyOpen] = useState(false);
  const [sought, setSought] = useState('');
  const [group, setGroup] = useState('');
  const held = sources.facts.filter(
    (fact) => (!onlyOpen || fact.state === 'open') && (!file || isOf(fact, file)) && holds(fact, sought),
  );
  const counts = sources.groups.map((one) => ({ ...one, count: held.filter((fact) => fact.group === one.id).length }));
  const shown = held.filter((fact) => !group || fact.group === group);
  const usable = (fact: Fact) => fact.usable || fact.state !== 'open';
  const act = (action: Action, facts: string[]) => {
    const wanted = facts.filter((id) => sources.facts.some((fact) => fact.id === id && usable(fact)));
    if (disabled || !wanted.length) return;
    void intake.decide(wanted.map((fact) => ({ fact, action, values: [], name: '', role: '' })));
    setMarked([]);
  };
  const keys = (event: React.KeyboardEvent, id: string) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const action = KEYS[event.key.toLowerCase()];
    if (action) {
      event.preventDefault();
      act(action, marked.includes(id) ? marked : [id]);
    }
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (!step) return;
    event.preventDefault();
    const boxes = [...document.querySelectorAll<HTMLInputElement>('.fact-mark')];
    boxes[boxes.indexOf(event.currentTarget as HTMLInputElement) + step]?.focus();
  };
  // A brand has its name from whoever made it: another one is decided by itself.
  const named = (fact: Fact) => fact.data?.['field'] === 'name';
  const best = shown.filter((fact) => fact.state === 'open' && fact.usable && fact.sure >= 0.75 && !named(fact));
  return (
    <section className="facts" aria-label="What the files say">
      <div className="facts-bar">
        {marked.length ? (
          <>
            <b>{marked.length} marked</b>
            <button type="button" className="main-action" disabled={disabled} onClick={() => act('accept', marked)}>
              Accept
            </button>
            <button type="button" className="quiet-action" disabled={disabled} onClick={() => act('lock', marked)}>
              Lock
            </button>
            <button type="button" className="quiet-action" disabled={disabled} onClick={() => act('reject', marked)}>
              Reject
            </button>
            <button type="button" className="link" onClick={() => setMarked([])}>
              none
            </button>
          </>
        ) : (
          <>
            <button
              type="button"
              className="quiet-action"
              disabled={disabled || !best.length}
              onClick={() => setMarked(best.map((fact) => fact.id))}
            >
              Mark the {best.length} surest
            </button>
            <input
              type="search"
              className="facts-search"
              aria-label="Look for facts"
              placeholder="a word, a value, a file"
              value={sought}
              onChange={(event) => setSought(event.target.value)}
            />
            <select
              className="facts-group"
              aria-label="Which facts"
              value={group}
              onChange={(event) => setGroup(event.target.value)}
            >
              <option value="">All {held.length}</option>
              {counts
                .filter((one) => one.count || one.id === group)
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.label} {one.count}
                  </option>
                ))}
            </select>
            <label className="facts-filter">
              <input type="checkbox" checked={onlyOpen} onChange={(event) => setOnlyOpen(event.target.checked)} /> only
              undecided
            </label>
            <span className="soft facts-keys">↑ ↓ · Space mark · A accept · L lock · R reject · O open again</span>
          </>
        )}
      </div>
      {file && (
        <p className="facts-of">
          Only what <b>{file.split('/').pop()}</b> says.{' '}
          <button type="button" className="link" onClick={all}>
            all files
          </button>
        </p>
      )}
      {shown.length === 0 && (
        <p className="soft facts-none" role="status">
          {sought
            ? `No fact holds “${sought}”.`
            : file && !onlyOpen
              ? 'This file says nothing that a reader knows.'
              : 'Everything is decided.'}
        </p>
      )}
      {sources.groups.map((group) => {
        const facts = shown.filter((fact) => fact.group === group.id);
        if (!facts.length) return null;
        return (
          <section key={group.id} aria-labelledby={`group-${group.id}`}>
            <h2 id={`group-${group.id}`} className="facts-head">
              {group.label}
              <span className="soft facts-count">{facts.length}</span>
              <button
                type="button"
                className="link soft"
                disabled={disabled}
                aria-label={`Mark all of ${group.label}`}
                onClick={() => setMarked([...new Set([...marked, ...facts.filter(usable).map((fact) => fact.id)])])}
              >
                mark all
              </button>
            </h2>
            <ul>
              {facts.map((fact) => (
                <FactRow
                  key={fact.id}
                  fact={fact}
                  marked={marked.includes(fact.id)}
                  disabled={disabled}
                  mark={(on) => setMarked(on ? [...marked, fact.id] : marked.filter((id) => id !== fact.id))}
                  keys={(event) => keys(event, fact.id)}
                  decide={(request) =>
                    void intake.decide([{ fact: fact.id, values: [], name: '', role: '', ...request }])
                  }
                />
              ))}
            </ul>
          </section>
        );
      })}
    </section>
  );
}
