import { describe, expect, it } from 'vitest';
import type { Changed } from '../api/client';
import { PAGES, workbench } from '../testing';
import { laid } from './laid';

const held = workbench({
  state: 'a',
  system: {
    ...workbench().system,
    tokens: [
      { path: 'one', css: '1' },
      { path: 'two', css: '2' },
    ],
    pairs: [{ scheme: 'light', ground: 'paper', ink: 'body', ratio: 5 }],
    counts: { stop: 1 },
  } as never,
});
const answer = (more: object) => ({ state: 'b', base: 'a', ...more }) as unknown as Changed;

describe('an answer laid over what is held', () => {
  it('leaves what it does not name', () => {
    const made = laid(held, answer({ edited: true }));
    expect(made).toEqual({ ...held, state: 'b', edited: true });
    expect(made.system).toEqual(held.system);
    expect('base' in made || 'gone' in made).toBe(false);
  });

  it('takes entries of lists over by their names, new ones after the others', () => {
    const tokens = [
      { path: 'two', css: '22' },
      { path: 'three', css: '3' },
    ];
    const made = laid(held, answer({ system: { tokens, counts: { stop: 0 } } }));
    expect(made.system.tokens.map((token) => [token.path, token.css])).toEqual([
      ['one', '1'],
      ['two', '22'],
      ['three', '3'],
    ]);
    expect(made.system.tokens[0]).toBe(held.system.tokens[0]);
    expect(made.system.counts).toEqual({ stop: 0 });
    expect(made.system.pairs).toBe(held.system.pairs);
  });

  it('lets entries go, and puts them in another order', () => {
    const gone = laid(held, answer({ gone: { pages: ['home'], 'system/tokens': ['one'] } }));
    expect(gone.pages.map((page) => page.body.id)).toEqual(['kontakt']);
    expect(gone.system.tokens.map((token) => token.path)).toEqual(['two']);
    const moved = laid(held, answer({ order: { pages: ['kontakt', 'home'] } }));
    expect(moved.pages.map((page) => page.body.id)).toEqual(['kontakt', 'home']);
    expect(moved.pages[1]?.body).toEqual(PAGES[0]);
  });

  it('that rests on nothing is everything', () => {
    const whole = { ...workbench({ state: 'z', role: 'reviewer' }), base: '', gone: {}, order: {} };
    const made = laid(held, whole as unknown as Changed);
    expect(made.role).toBe('reviewer');
    expect(made.system.tokens).toEqual([]);
    expect('base' in made).toBe(false);
  });
});
