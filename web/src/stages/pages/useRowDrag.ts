import { useEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';

/** Rows of a list that are dragged to another place by mouse, finger or pen. `move` gets the row, and the row that it then
 *  stands after; an empty one for the first place. */
export function useRowDrag(list: RefObject<HTMLElement | null>, move: (id: string, after: string) => void) {
  const [held, setHeld] = useState<{ id: string; at: number } | null>(null);
  const now = useRef(move);
  useEffect(() => {
    now.current = move;
  });
  const rows = () => Array.from(list.current?.querySelectorAll<HTMLElement>(':scope > [data-row]') ?? []);

  /** Before which of the other rows a height on the screen lies. */
  const place = (y: number) =>
    rows().filter((row) => {
      const box = row.getBoundingClientRect();
      return y > box.top + box.height / 2;
    }).length;

  const grip = (id: string) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0) return;
      event.preventDefault();
      event.currentTarget.setPointerCapture(event.pointerId);
      setHeld({ id, at: place(event.clientY) });
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (held?.id === id) setHeld({ id, at: place(event.clientY) });
    },
    onPointerUp: () => {
      if (held?.id !== id) return;
      setHeld(null);
      const ids = rows().map((row) => row.dataset['row'] ?? '');
      const from = ids.indexOf(id);
      if (held.at === from || held.at === from + 1) return;
      now.current(id, ids[held.at - 1] ?? '');
    },
    onPointerCancel: () => setHeld(null),
  });
  return { held, grip };
}
