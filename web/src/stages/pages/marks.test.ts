import { expect, it } from 'vitest';
import { emphasise, read, storedText, written } from './marks';

function paragraph(html: string): HTMLParagraphElement {
  document.body.innerHTML = `<p>${html}</p>`;
  return document.querySelector('p') as HTMLParagraphElement;
}

function select(node: Node, from: number, to: number): void {
  const range = document.createRange();
  range.setStart(node, from);
  range.setEnd(node, to);
  document.getSelection()?.removeAllRanges();
  document.getSelection()?.addRange(range);
}

it('stores emphasis, breaks and placeholders as their marks', () => {
  expect(written(paragraph('The <em>dark</em> is<br>worth <strong>the drive</strong>'))).toBe(
    'The *dark* is\nworth **the drive**',
  );
  expect(
    written(paragraph('at <span class="placeholder" data-gap="the hour">the hour</span>, ann@<wbr>a.example')),
  ).toBe('at [[the hour]], ann@a.example');
  expect(written(paragraph('very<em> dark </em>sky'))).toBe('very *dark* sky');
});

it('stores what is written over a gap without its brackets', () => {
  expect(written(paragraph('<span class="placeholder" data-gap="A headline">My text</span>'))).toBe('My text');
  // Divided by soft hyphens, a gap is still the same one.
  const divided = written(paragraph('<span class="placeholder" data-gap="A headline">A head\u00adline</span>'));
  expect(storedText(divided, '[[A headline]]')).toBe('[[A headline]]');
});

it('stores no soft hyphens of pages, and keeps those of a text', () => {
  expect(storedText('Denk\u00admal', 'Denkmal')).toBe('Denkmal');
  expect(storedText('Denk\u00admal', 'Denk\u00admalpflege')).toBe('Denk\u00admal');
});

it('reads a stored text without its marks', () => {
  expect(read('**What** we *offer* for 5* and [[a price]]')).toBe('What we offer for 5* and a price');
});

it('is not what a style sheet turns to capitals', () => {
  const element = paragraph('Quiet words');
  element.style.textTransform = 'uppercase';
  expect(written(element)).toBe('Quiet words');
});

it('emphasises what is selected, and takes it out again', () => {
  const element = paragraph('The dark is worth it');
  select(element.firstChild as Node, 4, 8);
  emphasise(element, 'em');
  expect(element.innerHTML).toBe('The <em>dark</em> is worth it');
  emphasise(element, 'strong');
  expect(element.innerHTML).toBe('The <strong>dark</strong> is worth it');
  emphasise(element, 'strong');
  expect(element.innerHTML).toBe('The dark is worth it');
});
