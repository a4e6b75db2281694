import { expect, test } from 'vitest';
import { paintedAreas, together, withInks } from './areas';

/** A page in which every element has the box that its data-box says: left, top, width, height. */
function page(html: string): Document {
  const document = new DOMParser().parseFromString(`<body data-ground="paper">${html}</body>`, 'text/html');
  Object.defineProperty(document.documentElement, 'clientWidth', { value: 1000 });
  Object.defineProperty(document.body, 'scrollHeight', { value: 2000 });
  for (const element of Array.from(document.querySelectorAll('[data-box]'))) {
    const [left = 0, top = 0, width = 0, height = 0] = (element.getAttribute('data-box') ?? '').split(' ').map(Number);
    element.getBoundingClientRect = () =>
      ({ left, top, right: left + width, bottom: top + height, width, height }) as DOMRect;
  }
  return document;
}

test('a ground is painted without the card, the picture and the button on it, each counted once', () => {
  const areas = paintedAreas(
    page(`
      <section data-section="a" data-ground="deep" data-box="0 0 1000 400">
        <div class="picture" data-source="drawn:hills/7" data-box="500 0 600 400"></div>
        <div data-ground="paper" data-box="400 300 200 200">
          <a class="button--primary" data-box="420 320 50 20"></a>
        </div>
      </section>`),
    { 'drawn:hills/7': { '1': 0.75, '3': 0.25 } },
  );
  // The picture runs off the page and under the card; the card runs over the section's foot.
  const picture = 500 * 400 - 100 * 100;
  expect(areas['picture/1']).toBeCloseTo(picture * 0.75);
  expect(areas['picture/3']).toBeCloseTo(picture * 0.25);
  expect(areas['ground/paper/primary/fill/rest']).toBe(50 * 20);
  expect(areas['ground/paper/background']).toBe(200 * 200 - 50 * 20);
  expect(areas['ground/deep/background']).toBe(1000 * 400 - 500 * 400 - 100 * 100);
});

test('photographs are pictures without a token, pages add up, and ink is taken from its ground', () => {
  const one = paintedAreas(
    page(`<section data-section="a" data-ground="deep" data-box="0 0 1000 100">
      <div class="picture" data-box="0 0 100 100"></div></section>`),
    {},
  );
  expect(one).toEqual({ picture: 10000, 'ground/deep/background': 90000 });
  const both = withInks(together([one, one]), { 'ground/deep/heading': 2500 });
  expect(both).toEqual({ picture: 20000, 'ground/deep/background': 177500, 'ground/deep/heading': 2500 });
});

test('where texts stand on a picture the overlay is painted in the colour of the ground', () => {
  const cover = (shape: string) =>
    paintedAreas(
      page(`<section data-section="a" data-ground="deep" data-box="0 0 1000 100">
        <div class="picture" data-overlay="0.60" data-shape="${shape}" data-box="0 0 1000 100"></div></section>`),
      {},
    );
  expect(cover('even')).toEqual({ picture: 40000, 'ground/deep/background': 60000 });
  expect(cover('foot')).toEqual({ picture: 70000, 'ground/deep/background': 30000 });
});

test('a motif covers its share of its box, and its ground the rest', () => {
  const areas = paintedAreas(
    page(`<section data-section="a" data-ground="deep" data-box="0 0 1000 400">
      <div class="motif motif--band" data-share="0.25" data-box="0 360 1000 40"></div></section>`),
    {},
  );
  expect(areas['ground/deep/motif']).toBe(10_000);
  expect(areas['ground/deep/background']).toBe(390_000);
});
