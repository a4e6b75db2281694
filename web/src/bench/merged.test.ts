import { expect, test } from 'vitest';
import type { Resolved, Token } from '../api/client';
import { merged } from './merged';

const token = (path: string, css: string) =>
  ({ path, type: 'color', value: css, css, origin: 'derived', reason: 'Why.' }) as Token;
const system = (tokens: Token[], fits: Resolved['fits'] = {}) =>
  ({
    schemes: ['light'],
    tokens,
    dark: [],
    pairs: [],
    fits,
    palette: {},
    css: tokens.map((t) => t.css).join(),
  }) as unknown as Resolved;

test('a draft replaces what differs, adds what is new, and keeps the order and the rest', () => {
  const stored = system([token('a', '#111111'), token('b', '#222222')], { paper: { night: 13 } });
  const shown = merged(stored, system([token('c', '#333333'), token('b', '#444444')]));
  expect(shown.tokens.map((one) => `${one.path} ${one.css}`)).toEqual(['a #111111', 'b #444444', 'c #333333']);
  expect(shown.fits).toEqual({ paper: { night: 13 } });
  expect(stored.tokens[1]?.css).toBe('#222222');
});

test('a draft that differs in nothing shows what is stored', () => {
  const stored = system([token('a', '#111111')]);
  expect(merged(stored, system([])).tokens).toBe(stored.tokens);
});
