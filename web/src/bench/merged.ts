import type { Resolved } from '../api/client';

/** A stored system with a draft over it: a draft holds only the tokens, pairs and fits that differ. */
export function merged(stored: Resolved, draft: Resolved): Resolved {
  return {
    ...draft,
    tokens: over(stored.tokens, draft.tokens, (token) => token.path),
    dark: draft.schemes.length > 1 ? over(stored.dark, draft.dark, (token) => token.path) : draft.dark,
    pairs: over(stored.pairs, draft.pairs, (pair) => `${pair.scheme} ${pair.ground} ${pair.ink}`),
    fits: Object.keys(draft.fits).length ? draft.fits : stored.fits,
    palette: Object.keys(draft.palette).length ? draft.palette : stored.palette,
  };
}

function over<T>(stored: T[], changed: T[], name: (item: T) => string): T[] {
  if (!changed.length) return stored;
  const own = new Map(changed.map((item) => [name(item), item]));
  const kept = stored.map((item) => {
    const found = own.get(name(item));
    own.delete(name(item));
    return found ?? item;
  });
  return [...kept, ...own.values()];
}
