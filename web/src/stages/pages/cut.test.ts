import { describe, expect, it } from 'vitest';
import { LEAST, moved, off, proportioned, pulled, WHOLE, type Cut, type Side } from './cut';

const SIDES: Side[] = ['left', 'top', 'right', 'foot'];
const inside = (cut: Cut) => {
  expect(cut.x).toBeGreaterThanOrEqual(0);
  expect(cut.y).toBeGreaterThanOrEqual(0);
  expect(cut.x + cut.width).toBeLessThanOrEqual(1.0011);
  expect(cut.y + cut.height).toBeLessThanOrEqual(1.0011);
  expect(Math.min(cut.width, cut.height)).toBeGreaterThanOrEqual(LEAST - 0.0011);
};

describe('a cut', () => {
  it('is pulled by a side or a corner', () => {
    expect(pulled(WHOLE, ['left'], 0.2, 0.9)).toEqual({ x: 0.2, y: 0, width: 0.8, height: 1 });
    expect(pulled(WHOLE, ['right', 'foot'], 0.7, 0.6)).toEqual({ x: 0, y: 0, width: 0.7, height: 0.6 });
    expect(pulled(WHOLE, ['left'], 2, 0).width).toBe(LEAST);
  });

  it('is moved as it is, and not off the picture', () => {
    const cut = { x: 0.2, y: 0.2, width: 0.5, height: 0.5 };
    expect(moved(cut, 0.1, -0.1)).toEqual({ x: 0.3, y: 0.1, width: 0.5, height: 0.5 });
    expect(moved(cut, 9, 9)).toEqual({ x: 0.5, y: 0.5, width: 0.5, height: 0.5 });
  });

  it('gets proportions', () => {
    expect(proportioned(WHOLE, 1, 1.5)).toEqual({ x: 0.167, y: 0, width: 0.667, height: 1 });
    expect(proportioned(WHOLE, 2, 1)).toEqual({ x: 0, y: 0.25, width: 1, height: 0.5 });
    for (const [ratio, shape] of [
      [3 / 2, 2 / 3],
      [16 / 9, 1],
      [2 / 3, 3],
    ] as const) {
      const cut = proportioned({ x: 0.6, y: 0.1, width: 0.3, height: 0.3 }, ratio, shape);
      inside(cut);
      expect((cut.width / cut.height) * shape).toBeCloseTo(ratio, 1);
    }
  });

  it('stays a cut whatever is done to it', () => {
    let cut = WHOLE;
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let turn = 0; turn < 2000; turn++) {
      const [x, y] = [random() * 3 - 1, random() * 3 - 1];
      const what = Math.floor(random() * 6);
      if (what < 4) cut = pulled(cut, [SIDES[what] ?? 'left'], x, y);
      else if (what === 4) cut = moved(cut, x, y);
      else cut = proportioned(cut, 0.5 + random() * 2, 0.5 + random() * 2);
      inside(cut);
      for (const side of SIDES) expect(off(cut, side)).toBeGreaterThanOrEqual(-0.11);
    }
  });
});
