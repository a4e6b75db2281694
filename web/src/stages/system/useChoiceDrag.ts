import { useCallback, useRef } from 'react';
import type { Change, Choices } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** Dragging a value of the choices: `drag` shows it on all pages, `done` stores it as one step of the history. */
export function useChoiceDrag(label: string, path: string, put: (choices: Choices, value: number) => Choices) {
  const { choices } = useShown('choices');
  const { draft, change } = useActions();
  const pending = useRef<number | null>(null);
  const drag = useCallback(
    (value: number) => {
      pending.current = value;
      draft(put(choices, value));
    },
    [choices, draft, put],
  );
  const done = useCallback(() => {
    const value = pending.current;
    if (value === null) return;
    pending.current = null;
    const changes: Change[] = [{ document: CHOICES, patch: [{ op: 'replace', path, value }] }];
    void change(label, changes);
  }, [change, label, path]);
  return { drag, done };
}
