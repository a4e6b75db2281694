import { useId, useState } from 'react';
import { pointer, type Library, type Page } from '../../api/client';
import { FRAME, pageDocument } from '../../bench/documents';
import type { Bench } from '../../bench/bench';
import type { Row } from './rows';

export type AddSectionProps = {
  page: Page;
  kinds: Library['kinds'];
  current: Row | undefined;
  change: Bench['change'];
  choose: (section: string) => void;
  disabled: boolean;
};

const FRAME_KINDS = ['header', 'footer'];

/** An id that no section of the page has. */
function freeId(page: Page, kind: string) {
  const taken = new Set((page.sections ?? []).map((one) => one.id));
  let number = 1;
  while (taken.has(`${kind.replaceAll('_', '-')}-${number}`)) number += 1;
  return `${kind.replaceAll('_', '-')}-${number}`;
}

/** Adds a section of a kind after the one that is open, or at the end; its slots are marked as still to be written. */
export function AddSection({ page, kinds, current, change, choose, disabled }: AddSectionProps) {
  const name = useId();
  const offered = kinds
    .filter((one) => !FRAME_KINDS.includes(one.id))
    .sort((one, other) => one.label.localeCompare(other.label));
  const [wanted, setWanted] = useState('');
  const kind = offered.find((one) => one.id === wanted);
  const count = page.sections?.length ?? 0;
  const after = current && current.document !== FRAME ? Number(current.base.at(-1)) + 1 : count;
  const add = async () => {
    const layout = kind?.layouts[0];
    if (!kind || !layout) return;
    const shown = new Set((layout.shows ?? []).map((path) => path.split('/')[0]));
    const content = Object.fromEntries(
      kind.slots
        .filter((slot) => !slot.path.includes('/') && shown.has(slot.path))
        .map((slot) => [slot.path, slot.blank]),
    );
    const id = freeId(page, kind.id);
    const value = { id, kind: kind.id, layout: layout.id, content };
    const patch = [{ op: 'add' as const, path: pointer('sections', after), value }];
    if (await change(`${kind.label} added to ${page.name}`, [{ document: pageDocument(page.id), patch }])) {
      setWanted('');
      choose(id);
    }
  };
  return (
    <div className="section-add">
      <label htmlFor={name}>Add a section</label>
      <select id={name} value={wanted} disabled={disabled} onChange={(event) => setWanted(event.target.value)}>
        <option value="">What kind?</option>
        {offered.map((one) => (
          <option key={one.id} value={one.id}>
            {one.label}
          </option>
        ))}
      </select>
      <button type="button" className="quiet-action" disabled={disabled || !kind} onClick={() => void add()}>
        {current && current.document !== FRAME ? 'Add after the open one' : 'Add at the end'}
      </button>
    </div>
  );
}
