/** The twelve columns of a section as it is drawn, in px from its own left edge, and how far one is from the next. */
export type Columns = { edges: { left: number; width: number }[]; step: number; mirrored: boolean };

/** The columns of a grid of fourteen tracks, of which the first and the last are the margins. */
export function columnsOf(grid: Element | null, from: number): Columns | null {
  const style = grid?.ownerDocument.defaultView?.getComputedStyle(grid);
  if (!grid || !style) return null;
  const tracks = style.gridTemplateColumns.split(' ').map(parseFloat);
  const gap = parseFloat(style.columnGap) || 0;
  if (tracks.length !== 14 || tracks.some(Number.isNaN)) return null;
  const box = grid.getBoundingClientRect();
  const mirrored = style.direction === 'rtl';
  const edges: Columns['edges'] = [];
  let at = 0;
  tracks.forEach((width, index) => {
    if (index > 0 && index < 13) {
      const left = mirrored ? box.width - at - width : at;
      edges.push({ left: box.left - from + left, width });
    }
    at += width + gap;
  });
  return { edges, step: (tracks[1] ?? 0) + gap, mirrored };
}

/** The column whose edge is nearest to a place: 0 and 13 are the edges of the viewport. */
export function nearestColumn(columns: Columns, x: number, side: 'start' | 'end'): number {
  const leading = (side === 'start') !== columns.mirrored;
  const places = columns.edges.map((edge) => (leading ? edge.left : edge.left + edge.width));
  const first = columns.edges[0];
  const last = columns.edges[11];
  if (!first || !last) return 1;
  const outer = columns.mirrored ? [first.left + first.width, last.left] : [first.left, last.left + last.width];
  const out = columns.step / 2;
  const beyond = columns.mirrored
    ? [x > (outer[0] ?? 0) + out, x < (outer[1] ?? 0) - out]
    : [x < (outer[0] ?? 0) - out, x > (outer[1] ?? 0) + out];
  if (side === 'start' && beyond[0]) return 0;
  if (side === 'end' && beyond[1]) return 13;
  let best = 0;
  places.forEach((place, index) => {
    if (Math.abs(place - x) < Math.abs((places[best] ?? 0) - x)) best = index;
  });
  return best + 1;
}
