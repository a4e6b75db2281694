import { createContext, useContext, useRef, useSyncExternalStore } from 'react';
import type { Actions, Bench, Shown } from './bench';

export const BenchContext = createContext<Bench | null>(null);

function useStore(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error('There is no workbench around this part.');
  return bench;
}

/** Parts of what the workbench shows. Only when one of them changes is the asker drawn anew. */
export function useShown<Part extends keyof Shown>(...parts: Part[]): Pick<Shown, Part> {
  const store = useStore();
  const last = useRef<Pick<Shown, Part> | null>(null);
  const chosen = () => {
    const now = store.shown;
    const known = last.current;
    if (known && parts.every((part) => known[part] === now[part])) return known;
    last.current = Object.fromEntries(parts.map((part) => [part, now[part]])) as Pick<Shown, Part>;
    return last.current;
  };
  return useSyncExternalStore(store.subscribe, chosen);
}

/** What can be done; asking for it never has anything drawn anew. */
export function useActions(): Actions {
  return useStore();
}
