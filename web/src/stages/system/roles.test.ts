import { describe, expect, it } from 'vitest';
import type { Resolved, Token } from '../../api/client';
import { conflictOf, litOf, pathOf, roleName, roleWords, sourceOf, standsOn, wireName, type Role } from './roles';

const ground: Role = { ground: 'accent', ink: null };
const link: Role = { ground: 'paper', ink: 'link' };
const main: Role = { ground: 'deep', ink: 'primary' };
const second: Role = { ground: 'tint', ink: 'secondary' };

const conflict = (at: string, ink: string, scheme = 'light', code = 'contrast-unmet') => ({
  code,
  path: `ground/${at}/${ink}`,
  ground: at,
  ink,
  scheme,
});
const pair = (at: string, ink: string, foreground: string, background: string, required: number, scheme = 'light') => ({
  ground: at,
  ink,
  foreground,
  background,
  required,
  scheme,
});
const system = {
  palette: { weide: '#4b5a3c', bast: '#c8a36a' },
  conflicts: [
    conflict('paper', 'link', 'dark'),
    conflict('deep', 'primary/label/rest'),
    conflict('accent', 'background', 'light', 'ground-too-mid'),
    conflict('tint', 'body'),
  ],
  pairs: [
    pair('paper', 'link', '#4b5a3c', '#ffffff', 4.5),
    pair('paper', 'link', '#c8a36a', '#101010', 7, 'dark'),
    pair('paper', 'body', '#222222', '#ffffff', 4.5),
    pair('paper', 'primary/label/rest', '#ffffff', '#4b5a3c', 4.5),
  ],
} as unknown as Resolved;

describe('a role', () => {
  it.each([
    [ground, 'accent', 'the accent ground', 'ground/accent/background', { ground: 'accent', ink: 'background' }],
    [link, 'paper/link', 'link on paper', 'ground/paper/link', { ground: 'paper', ink: 'link' }],
    [
      main,
      'deep/primary',
      'main button on deep',
      'ground/deep/primary/fill/rest',
      { ground: 'deep', ink: 'primary/label/rest' },
    ],
    [
      second,
      'tint/secondary',
      'second button on tint',
      'ground/tint/secondary/label/rest',
      { ground: 'tint', ink: 'secondary/label/rest' },
    ],
  ])('has a name, words, a token and what is lit for it', (role, name, words, path, lit) => {
    expect(roleName(role)).toBe(name);
    expect(roleWords(role)).toBe(words);
    expect(pathOf(role)).toBe(path);
    expect(litOf(role)).toEqual(lit);
  });

  it('is written apart for the dark scheme', () => {
    expect(wireName(link, 'dark')).toBe('dark:paper/link');
    expect(wireName(ground, 'light')).toBe('accent');
  });

  it('has the conflict of its own scheme, and a ground only one that is its own', () => {
    expect(conflictOf(system, link, 'light')).toBeUndefined();
    expect(conflictOf(system, link, 'dark')?.path).toBe('ground/paper/link');
    expect(conflictOf(system, main, 'light')?.ink).toBe('primary/label/rest');
    expect(conflictOf(system, ground, 'light')?.code).toBe('ground-too-mid');
    expect(conflictOf(system, { ground: 'tint', ink: null }, 'light')).toBeUndefined();
  });

  it('comes from a brand colour only where it shows it exactly and was not derived', () => {
    const token = (css: string, origin: string) => ({ css, origin }) as Token;
    const ids = ['weide', 'bast'];
    expect(sourceOf(system, token('#C8A36A', 'brand'), ids, link)).toBe('bast');
    expect(sourceOf(system, token('#c8a36b', 'brand'), ids, link)).toBeUndefined();
    expect(sourceOf(system, token('#c8a36a', 'derived'), ids, link)).toBeUndefined();
    expect(sourceOf(system, token('#c8a36a', 'derived'), ids, second)).toBe('bast');
    expect(sourceOf(system, undefined, ids, link)).toBeUndefined();
  });

  it('is picked against what it stands on, a fill against its label', () => {
    expect(standsOn('ground/paper/link', system, 'light')).toEqual({ background: '#ffffff', required: 4.5 });
    expect(standsOn('ground/paper/link', system, 'dark')).toEqual({ background: '#101010', required: 7 });
    const fill = standsOn('ground/paper/primary/fill/rest', system, 'light');
    expect(fill).toEqual({ background: '#ffffff', required: 4.5 });
    expect(standsOn('ground/paper/background', system, 'light')).toEqual({ background: '#222222', required: 4.5 });
    expect(standsOn('brand/weide', system, 'light')).toEqual({ background: '#ffffff', required: 0 });
  });
});
