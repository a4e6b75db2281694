import { describe, expect, it } from 'vitest';
import type { Resolved } from '../api/client';
import { slotParts, slotValue } from '../stages/pages/rows';
import { pointer } from '../api/client';
import { patchesOf } from './ControlStrip';

const pair = (ground: string, ink: string, ratio: number, required = 4.5) => ({
  ground,
  ink,
  ratio,
  required,
  foreground: '#000000',
  background: '#ffffff',
  exempt: required === 0,
  scheme: 'light',
});

describe('patchesOf', () => {
  it('shows only pairs in use, worst first among grounds and within each', () => {
    const system = {
      pairs: [
        pair('paper', 'heading', 13),
        pair('paper', 'link', 4.6),
        pair('deep', 'body', 2),
        pair('tint', 'body', 9),
        { ...pair('paper', 'link', 2), scheme: 'dark' },
      ],
      schemes: ['light', 'dark'],
      uses: [
        { ground: 'paper', ink: 'heading', count: 3 },
        { ground: 'paper', ink: 'link', count: 1 },
        { ground: 'deep', ink: 'body', count: 2 },
      ],
    } as unknown as Resolved;
    const groups = patchesOf(system, 'light');
    expect(
      patchesOf(system, 'dark')
        .flat()
        .map((patch) => patch.ratio),
    ).toEqual([2]);
    expect(groups.map((group) => group.map((patch) => `${patch.ground}/${patch.ink}`))).toEqual([
      ['deep/body'],
      ['paper/link', 'paper/heading'],
    ]);
  });
});

describe('paths', () => {
  it('are JSON Pointers', () => {
    expect(pointer('wires', 'paper/link')).toBe('/wires/paper~1link');
    expect(pointer('a~b', 0)).toBe('/a~0b/0');
  });
  it('lead into the content of a section', () => {
    const section = { content: { items: [{ title: 'One' }] } } as never;
    expect(slotValue(section, 'items/0/title')).toBe('One');
    expect(slotValue(section, 'items/4/title')).toBeUndefined();
    expect(slotParts('items/0/title')).toEqual(['items', 0, 'title']);
  });
});
