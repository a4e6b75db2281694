/** What is left of a picture when it is cut, as shares of it. */
export type Cut = { x: number; y: number; width: number; height: number };
export type Side = 'left' | 'top' | 'right' | 'foot';

export const WHOLE: Cut = { x: 0, y: 0, width: 1, height: 1 };
export const LEAST = 0.05;

const within = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));
const tidy = (value: number) => Math.round(value * 1000) / 1000;
const made = (left: number, top: number, right: number, foot: number): Cut => ({
  x: tidy(left),
  y: tidy(top),
  width: tidy(right - left),
  height: tidy(foot - top),
});

/** A cut with one or two of its sides elsewhere; at least a twentieth of the picture is left. */
export function pulled(cut: Cut, sides: readonly Side[], x: number, y: number): Cut {
  let [left, top, right, foot] = [cut.x, cut.y, cut.x + cut.width, cut.y + cut.height];
  for (const side of sides) {
    if (side === 'left') left = within(x, 0, right - LEAST);
    if (side === 'right') right = within(x, left + LEAST, 1);
    if (side === 'top') top = within(y, 0, foot - LEAST);
    if (side === 'foot') foot = within(y, top + LEAST, 1);
  }
  return made(left, top, right, foot);
}

/** A cut as large, elsewhere on the picture. */
export function moved(cut: Cut, byX: number, byY: number): Cut {
  const x = within(cut.x + byX, 0, 1 - cut.width);
  const y = within(cut.y + byY, 0, 1 - cut.height);
  return made(x, y, x + cut.width, y + cut.height);
}

/** The largest cut of some proportions, width to height, around the middle of another; `shape` is that of the whole picture. */
export function proportioned(cut: Cut, ratio: number, shape: number): Cut {
  const share = ratio / shape; // width to height in shares of the picture
  const height = Math.min(1, 1 / share);
  const width = Math.min(1, share);
  const x = within(cut.x + cut.width / 2 - width / 2, 0, 1 - width);
  const y = within(cut.y + cut.height / 2 - height / 2, 0, 1 - height);
  return made(x, y, x + width, y + height);
}

/** How far in a side lies, in per cent of the picture. */
export function off(cut: Cut, side: Side): number {
  const share = { left: cut.x, top: cut.y, right: 1 - cut.x - cut.width, foot: 1 - cut.y - cut.height }[side];
  return Math.round(share * 1000) / 10;
}
