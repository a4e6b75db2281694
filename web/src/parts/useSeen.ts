import { useEffect, useState, type RefObject } from 'react';

/** Whether an element has come near what is in sight; once it has, it stays so. */
export function useSeen(element: RefObject<Element | null>): boolean {
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const own = element.current;
    if (!own || seen) return;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((entry) => entry.isIntersecting)) setSeen(true);
      },
      { rootMargin: '200px' },
    );
    observer.observe(own);
    return () => observer.disconnect();
  }, [element, seen]);
  return seen;
}
