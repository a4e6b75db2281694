import { describe, expect, it } from 'vitest';
import type { Page } from '../../api/client';
import { placeOn } from './SectionActions';

const page = (order?: string[]) =>
  ({
    sections: ['a', 'b', 'c', 'd'].map((id) => ({ id })),
    ...(order ? { order_on: { phone: order } } : {}),
  }) as unknown as Page;
const places = (order?: string[]) => ['a', 'b', 'c', 'd'].map((id) => placeOn(page(order), id, 'phone'));

describe('the place of a section at a width', () => {
  it('is as it is written, unless that width has an order', () => {
    expect(places()).toEqual([1, 2, 3, 4]);
    expect(places(['d', 'a', 'b', 'c'])).toEqual([2, 3, 4, 1]);
    expect(placeOn(page(['d', 'a', 'b', 'c']), 'd', 'desktop')).toBe(4);
  });

  it('of what the order does not name is after what it is written after', () => {
    expect(places(['d', 'a', 'gone'])).toEqual([2, 3, 4, 1]);
    expect(places(['c', 'b'])).toEqual([1, 4, 2, 3]);
  });
});
