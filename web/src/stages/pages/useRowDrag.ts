import { useEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';

/** Rows of a list that are dragged to another place by mouse, finger or pen. `move` gets the row, and the row that it then
 *  stands after; an empty one for the first place. */
export function useRowDrag(list: RefObject<HTMLElement | null>, move: (id: string, after: string) => void) {
  const [held, setHeld] = useState<{ id: string; at: number } | null>(null);
  const pulled = useRef('');
  const now = useRef(move);
  useEffect(() => {
    now.current = move;
  });
  const rows = () => Array.from(list.current?.querySelectorAll<HTMLElement>(':scope > [data-row]') ?? []);

  const end = () => {
    pulled.current = '';
    setHeld(null);
  };

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
      pulled.current = id;
      setHeld({ id, at: place(event.clientY) });
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (pulled.current === id) setHeld({ id, at: place(event.clientY) });
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      if (pulled.current !== id) return;
      end();
      // Where it is let go, not where it was drawn last.
      const at = place(event.clientY);
      const ids = rows().map((row) => row.dataset['row'] ?? '');
      const from = ids.indexOf(id);
      if (at === from || at === from + 1) return;
      now.current(id, ids[at - 1] ?? '');
    },
    onPointerCancel: end,
  });
  return { held, grip };
}
