import { useLayoutEffect, useRef, useState } from 'react';

/** An element and how wide it is, in px; `first` until it is measured. */
export function useRoom(first: number) {
  const [room, setRoom] = useState(first);
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { room, box };
}
