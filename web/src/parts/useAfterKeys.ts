import { useEffect, useMemo, useRef } from 'react';

/** The end of a move made by keys: a while after the last of them, or at once when the place is left, so that twenty
 *  presses are one change. */
export function useAfterKeys(done: () => void, wait = 350): { later: () => void; now: () => void } {
  const latest = useRef(done);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => {
    latest.current = done;
  });
  const ends = useMemo(() => {
    const now = () => {
      if (timer.current) clearTimeout(timer.current);
      timer.current = null;
      latest.current();
    };
    const later = () => {
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(now, wait);
    };
    return { later, now };
  }, [wait]);
  useEffect(() => () => void (timer.current && ends.now()), [ends]);
  return ends;
}
