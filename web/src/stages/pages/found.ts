import type { Library } from '../../api/client';

type Drawing = Library['drawings'][number];

/** The drawings that every word of a search finds: by the beginning of a word for them, or by their season. */
export function found(drawings: Drawing[], asked: string): Drawing[] {
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
  return drawings.filter((one) =>
    words.every((word) => [...one.words, one.id, one.season].some((known) => known.toLowerCase().startsWith(word))),
  );
}
