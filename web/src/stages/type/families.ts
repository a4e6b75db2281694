import type { Identity, Library } from '../../api/client';

type Shipped = Library['families'][number];
type Own = NonNullable<Identity['fonts']>[number];

/** A family that can be chosen: of the library, or the brand’s own. */
export type Family = {
  id: string;
  name: string;
  category: string;
  measured: Shipped['measured'];
  lightest: number;
  heaviest: number;
  languages: string[];
  licence: string;
  italic: boolean;
  own: Own | undefined;
};

/** The brand’s own families first, then the library’s, by name. */
export function familiesOf(library: Library | undefined, fonts: Identity['fonts']): Family[] {
  const own = (fonts ?? []).map((font) => ({
    ...font,
    lightest: Math.min(...font.files.map((file) => file.lightest)),
    heaviest: Math.max(...font.files.map((file) => file.heaviest)),
    languages: font.languages ?? [],
    licence: font.licence ?? '',
    italic: font.italic ?? false,
    own: font,
  }));
  const shipped = (library?.families ?? []).map((family) => ({ ...family, own: undefined }));
  return [...own, ...shipped.sort((a, b) => a.name.localeCompare(b.name))];
}

/** Filters by measured character. Bounds are common practice. */
export const MEASURES: { id: string; name: string; holds: (family: Family) => boolean }[] = [
  { id: 'even', name: 'Even strokes', holds: ({ measured }) => measured.contrast < 1.3 },
  { id: 'contrast', name: 'High contrast', holds: ({ measured }) => measured.contrast >= 2.2 },
  { id: 'soft', name: 'Soft', holds: ({ measured }) => measured.softness >= 0.3 },
  { id: 'sharp', name: 'Sharp', holds: ({ measured }) => measured.softness < 0.1 },
  { id: 'narrow', name: 'Narrow', holds: ({ measured }) => measured.width < 0.44 },
  { id: 'wide', name: 'Wide', holds: ({ measured }) => measured.width >= 0.485 },
  { id: 'large', name: 'Large x-height', holds: ({ measured }) => measured.x_height >= 0.52 },
  { id: 'heavy', name: 'Sturdy', holds: ({ measured }) => measured.stem / measured.x_height >= 0.18 },
];

export const CATEGORIES = [
  { id: 'serif', name: 'Serif' },
  { id: 'sans-serif', name: 'Sans' },
  { id: 'monospace', name: 'Mono' },
  { id: 'handwriting', name: 'Hand' },
];

/** Those that fit a search and all filters that are set. */
export function found(families: Family[], search: string, category: string, measures: string[]): Family[] {
  const wanted = search.trim().toLowerCase();
  return families.filter(
    (family) =>
      (!wanted || family.name.toLowerCase().includes(wanted)) &&
      (!category || family.category === category) &&
      MEASURES.every((one) => !measures.includes(one.id) || one.holds(family)),
  );
}

/** What was measured, in a line. */
export function inWords({ measured, lightest, heaviest }: Family): string {
  const weights = lightest === heaviest ? `${lightest}` : `${lightest}–${heaviest}`;
  return (
    `x-height ${measured.x_height.toFixed(2)} · strokes ${measured.contrast.toFixed(1)}:1 · ` +
    `width ${measured.width.toFixed(2)} · soft ${Math.round(measured.softness * 100)} % · ${weights}`
  );
}
