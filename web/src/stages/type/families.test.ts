import { describe, expect, it } from 'vitest';
import type { Identity, Library } from '../../api/client';
import { CATEGORIES, familiesOf, found, inWords, MEASURES } from './families';

const measured = (more: object) => ({
  x_height: 0.5,
  contrast: 1.5,
  softness: 0.2,
  width: 0.46,
  stem: 0.08,
  ...more,
});
const family = (name: string, category: string, more: object = {}) => ({
  id: name.toLowerCase(),
  name,
  category,
  lightest: 400,
  heaviest: 700,
  languages: ['en'],
  licence: '',
  italic: false,
  measured: measured(more),
});
const library = {
  families: [
    family('Zeta', 'serif', { contrast: 3, softness: 0.05 }),
    family('Alpha', 'sans-serif', { contrast: 1.1, width: 0.5, softness: 0.35 }),
    family('Mono', 'monospace', { width: 0.6, x_height: 0.52, stem: 0.1 }),
  ],
} as unknown as Library;
const own = [
  {
    ...family('Weidling Text', 'serif'),
    files: [
      { lightest: 300, heaviest: 300 },
      { lightest: 700, heaviest: 900 },
    ],
  },
] as unknown as Identity['fonts'];
const names = (search: string, category = '', measures: string[] = []) =>
  found(familiesOf(library, own), search, category, measures).map((one) => one.name);

describe('families', () => {
  it('are the brand’s own, then the library’s by name, with the weights of all files', () => {
    expect(names('')).toEqual(['Weidling Text', 'Alpha', 'Mono', 'Zeta']);
    const first = familiesOf(library, own)[0];
    expect([first?.lightest, first?.heaviest, first?.own !== undefined]).toEqual([300, 900, true]);
    expect(familiesOf(undefined, undefined)).toEqual([]);
  });

  it('are found by any part of their name, by kind and by every measure that is asked for', () => {
    expect(names('  ET')).toEqual(['Zeta']);
    expect(names('', 'serif')).toEqual(['Weidling Text', 'Zeta']);
    expect(names('', '', ['contrast'])).toEqual(['Zeta']);
    expect(names('', '', ['contrast', 'soft'])).toEqual([]);
    expect(names('', '', ['wide', 'large'])).toEqual(['Mono']);
    expect(names('', 'sans-serif', ['even', 'soft', 'wide'])).toEqual(['Alpha']);
  });

  it('are never on both sides of a measure', () => {
    const holds = (
      id: string,
      one: (typeof MEASURES)[number]['holds'] extends (family: infer F) => boolean ? F : never,
    ) => MEASURES.find((measure) => measure.id === id)?.holds(one);
    for (const one of familiesOf(library, own))
      for (const [low, high] of [
        ['even', 'contrast'],
        ['sharp', 'soft'],
        ['narrow', 'wide'],
      ] as const)
        expect(holds(low, one) && holds(high, one)).toBe(false);
    expect(new Set(CATEGORIES.map((one) => one.id)).size).toBe(CATEGORIES.length);
  });

  it('say what was measured on them', () => {
    const [weidling, alpha] = familiesOf(library, own);
    expect(weidling && inWords(weidling)).toBe('x-height 0.50 · strokes 1.5:1 · width 0.46 · soft 20 % · 300–900');
    expect(alpha && inWords({ ...alpha, heaviest: 400 })).toMatch(/ · 400$/);
  });
});
