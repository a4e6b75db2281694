/** The painted area of a page, from the boxes that it really has: px² by token. */

import type { Areas } from '../bench/bench';

type Box = { left: number; top: number; right: number; bottom: number };

/** What is painted in a frame: grounds without what lies on them, filled buttons, drawings by their tokens, photographs
 *  and marks as "picture" and "mark". Text is counted by core, from the outlines of its glyphs. */
export function paintedAreas(document: Document, drawn: Record<string, Record<string, number>>): Areas {
  const areas: Areas = {};
  const add = (path: string, area: number) => {
    if (area > 0) areas[path] = (areas[path] ?? 0) + area;
  };
  const page = { left: 0, top: 0, right: document.documentElement.clientWidth, bottom: document.body.scrollHeight };
  const boxOf = (element: Element) => clipped(rect(element), page);
  for (const ground of Array.from(document.querySelectorAll('[data-ground]:not(body)'))) {
    const box = boxOf(ground);
    const own = (element: Element) => element.parentElement?.closest('[data-ground]') === ground;
    let left = area(box);
    const cards = Array.from(ground.querySelectorAll('[data-ground]')).map(boxOf);
    for (const inner of Array.from(ground.querySelectorAll('[data-ground],.picture,.button--primary'))) {
      if (!own(inner)) continue;
      const part = clipped(boxOf(inner), box);
      left -= area(part) * (1 - overlaid(inner));
      // Where a card lies on a picture the place is counted once.
      if (inner.matches('.picture')) for (const card of cards) left += area(clipped(part, card));
    }
    const name = `ground/${ground.getAttribute('data-ground')}`;
    for (const motif of Array.from(ground.querySelectorAll<HTMLElement>('.motif')).filter(own)) {
      const drawn = motifArea(motif);
      add(`${name}/motif`, drawn);
      left -= drawn;
    }
    add(`${name}/background`, left);
  }
  for (const button of Array.from(document.querySelectorAll('.button--primary')))
    add(
      `ground/${button.closest('[data-ground]')?.getAttribute('data-ground')}/primary/fill/rest`,
      area(boxOf(button)),
    );
  for (const picture of Array.from(document.querySelectorAll('.picture'))) {
    const section = picture.closest('[data-section]');
    let size = area(section ? clipped(boxOf(picture), boxOf(section)) : boxOf(picture));
    for (const card of Array.from(section?.querySelectorAll('[data-ground]') ?? []))
      size -= area(clipped(boxOf(picture), boxOf(card)));
    size *= 1 - overlaid(picture);
    const shares = drawn[picture.getAttribute('data-source') ?? ''];
    if (!shares) add('picture', size);
    for (const [number, share] of Object.entries(shares ?? {})) add(`picture/${number}`, size * share);
  }
  return areas;
}

/** What a motif's drawing covers: its share of a band, or of the one large drawing that is cropped by its box. */
function motifArea(motif: HTMLElement): number {
  const style = motif.ownerDocument.defaultView?.getComputedStyle(motif);
  const pad = parseFloat(style?.paddingTop ?? '') || 0;
  const box = rect(motif);
  const [width, height] = [box.right - box.left, box.bottom - box.top - 2 * pad];
  const mask = (style?.maskSize ?? '').split(' ').map((size) => (size.endsWith('px') ? parseFloat(size) : Infinity));
  const one = motif.classList.contains('motif--accent');
  const [wide, high] = one ? [Math.min(width, mask[0] ?? width), Math.min(height, mask[1] ?? height)] : [width, height];
  return wide * high * Number(motif.getAttribute('data-share') ?? 0);
}

/** How much of a picture the ground covers, 0–1, where texts stand on it: the mean of the overlay. */
function overlaid(picture: Element): number {
  const opacity = Number(picture.getAttribute('data-overlay') ?? 0);
  return picture.getAttribute('data-shape') === 'even' ? opacity : opacity / 2;
}

/** Areas of several pages in one. */
export function together(all: Areas[]): Areas {
  const sum: Areas = {};
  for (const one of all) for (const [path, area] of Object.entries(one)) sum[path] = (sum[path] ?? 0) + area;
  return sum;
}

/** Areas with the ink of texts taken from the grounds on which they stand. */
export function withInks(areas: Areas, inks: Areas): Areas {
  const made = { ...areas };
  for (const [path, ink] of Object.entries(inks)) {
    const [, ground, variant] = path.split('/');
    const back = variant === 'primary' ? `ground/${ground}/primary/fill/rest` : `ground/${ground}/background`;
    const taken = Math.min(ink, made[back] ?? 0);
    made[back] = (made[back] ?? 0) - taken;
    made[path] = (made[path] ?? 0) + taken;
  }
  return made;
}

function rect(element: Element): Box {
  const { left, top, right, bottom } = element.getBoundingClientRect();
  const view = element.ownerDocument.defaultView;
  const [x, y] = [view?.scrollX ?? 0, view?.scrollY ?? 0];
  return { left: left + x, top: top + y, right: right + x, bottom: bottom + y };
}

function clipped(a: Box, b: Box): Box {
  return {
    left: Math.max(a.left, b.left),
    top: Math.max(a.top, b.top),
    right: Math.min(a.right, b.right),
    bottom: Math.min(a.bottom, b.bottom),
  };
}

function area(box: Box): number {
  return Math.max(0, box.right - box.left) * Math.max(0, box.bottom - box.top);
}
