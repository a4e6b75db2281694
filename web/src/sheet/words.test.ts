import { describe, expect, it } from 'vitest';
import type { Effect } from '../api/client';
import { counted } from '../parts/counted';
import { effectWords } from './Reached';
import { percent } from './useShares';

const turned = (passes: boolean, uses: number) => ({ passes, uses });
const effect = (more: object): Effect =>
  ({ tokens: [], sections: [], pages: 0, turned: [], conflicts_before: 0, conflicts_after: 0, ...more }) as never;

describe('what is told in numbers', () => {
  it('has its noun in the singular and in the plural', () => {
    expect([0, 1, 2, 1200].map((count) => counted(count, 'page'))).toEqual([
      '0 pages',
      '1 page',
      '2 pages',
      '1,200 pages',
    ]);
  });

  it('is a share that is never nothing where there is some', () => {
    expect([0, 0.0004, 0.0099, 0.01, 0.584, 1].map(percent)).toEqual([
      '0 %',
      'under 1 %',
      'under 1 %',
      '1 %',
      '58 %',
      '100 %',
    ]);
  });

  it('is what a change reached; pairs that no page uses turn no verdict', () => {
    expect(effectWords(effect({}))).toBe('no value · no section');
    const one = effect({
      tokens: [{ uses: 2 }],
      sections: ['a'],
      pages: 1,
      turned: [turned(false, 1), turned(true, 0)],
    });
    expect(effectWords(one)).toBe('1 value, 1 in use · 1 section on 1 page · 1 pair in use fails now');
    const many = effect({
      tokens: [{ uses: 2 }, { uses: 0 }],
      sections: ['a', 'b'],
      pages: 2,
      turned: [turned(false, 1), turned(false, 3), turned(true, 4)],
    });
    expect(effectWords(many)).toBe(
      '2 values, 1 in use · 2 sections on 2 pages · 2 pairs in use fail now · 1 pair in use passes now',
    );
  });
});
