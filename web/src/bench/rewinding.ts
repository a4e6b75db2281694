import type { Workbench } from '../api/client';

type Step = { before: Workbench; after: Workbench };
const MOST = 40; // steps that are known

/** What a brand was before and after steps of its history, as far as they were made here: what is taken back, or made again,
 *  shows before it is stored. */
export class Rewinding {
  private steps = new Map<number, Step>();

  /** Takes an answer to what was the brand before. */
  keep(before: Workbench, after: Workbench): void {
    const entry = after.history.undo?.entry ?? 0;
    // After a step back or forth the newest change is an older one, or one that was known.
    if (entry <= (before.history.undo?.entry ?? 0) || entry === before.history.redo?.entry) return;
    this.steps.set(entry, { before, after });
    if (this.steps.size > MOST) this.steps.delete(Math.min(...this.steps.keys()));
  }

  /** The brand as it will be once a step is taken; null where that is not known. */
  shown(now: Workbench, way: 'undo' | 'redo', entry: number): Workbench | null {
    const known = this.steps.get(entry);
    const made = known && (way === 'undo' ? known.before : known.after);
    return made ? { ...made, history: now.history, state: now.state } : null;
  }
}
