import { describe, expect, it } from 'vitest';
import { columnsOf, nearestColumn, type Columns } from './columns';

/** A grid of 14 tracks as Chromium lays one out: margins of 60, columns of 80, gaps of 20. */
function grid(direction: 'ltr' | 'rtl' = 'ltr'): Element {
  const element = document.createElement('div');
  element.style.gridTemplateColumns = `60px ${Array(12).fill('80px').join(' ')} 60px`;
  element.style.columnGap = '20px';
  element.style.direction = direction;
  document.body.append(element);
  const width = 60 * 2 + 12 * 80 + 13 * 20;
  element.getBoundingClientRect = () =>
    ({ left: 100, top: 0, width, height: 10, right: 100 + width, bottom: 10 }) as DOMRect;
  return element;
}

function columns(direction: 'ltr' | 'rtl' = 'ltr'): Columns {
  const found = columnsOf(grid(direction), 100);
  if (!found) throw new Error('There are no columns.');
  return found;
}

describe('the columns of a section', () => {
  it('are the twelve tracks between its margins, from its own edge', () => {
    const found = columns();
    expect(found.edges).toHaveLength(12);
    expect(found.edges[0]).toEqual({ left: 80, width: 80 });
    expect(found.edges[11]).toEqual({ left: 1180, width: 80 });
    expect(found.step).toBe(100);
  });

  it('are mirrored in a language from right to left', () => {
    const found = columns('rtl');
    const [first, last] = [found.edges[0]?.left ?? 0, found.edges[11]?.left ?? 0];
    expect(first).toBeGreaterThan(last);
    expect(nearestColumn(found, first + 80, 'start')).toBe(1);
  });

  it('are none where nothing is laid out in them', () => {
    expect(columnsOf(document.createElement('div'), 0)).toBeNull();
    expect(columnsOf(null, 0)).toBeNull();
  });

  it.each([
    [80, 'start', 1],
    [120, 'start', 1],
    [170, 'start', 2],
    [10, 'start', 0],
    [160, 'end', 1],
    [640, 'end', 6],
    [1262, 'end', 12],
    [1330, 'end', 13],
  ] as const)('have the edge that is nearest to %d as the %s', (x, side, column) => {
    expect(nearestColumn(columns(), x, side)).toBe(column);
  });
});
