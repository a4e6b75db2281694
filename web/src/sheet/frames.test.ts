import { describe, expect, it } from 'vitest';
import { lightUses, placeSection, restyle, standSections, swapBody, usesIn } from './frames';

function page(body: string): Document {
  const html = `<html lang="en"><head><style id="tokens">:root{--a:1}</style><style>p{}</style></head><body>${body}</body></html>`;
  return new DOMParser().parseFromString(html, 'text/html');
}

describe('restyle', () => {
  it('replaces the tokens and nothing else', () => {
    const document = page('<p>x</p>');
    restyle(document, ':root{--a:2}');
    expect(document.getElementById('tokens')?.textContent).toBe(':root{--a:2}');
    expect(document.body.innerHTML).toBe('<p>x</p>');
  });
  it('sets what differs where the rules are the same, and takes out what is gone', () => {
    const frame = window.document.createElement('iframe');
    window.document.body.append(frame);
    const document = frame.contentDocument as Document;
    document.write(
      '<html><head><style id="tokens">:root {\n  --a: 1px;\n  --b: #fff;\n}\n[data-ground="deep"] {\n  --x: 1;\n}\n</style></head><body></body></html>',
    );
    const style = () => (document.getElementById('tokens') as HTMLStyleElement).sheet?.cssRules[0] as CSSStyleRule;
    const rule = style();
    restyle(document, ':root {\n  --a: 2px;\n  --c: rgb(1, 2, 3);\n}\n[data-ground="deep"] {\n  --x: 2;\n}\n');
    const deep = (document.getElementById('tokens') as HTMLStyleElement).sheet?.cssRules[1] as CSSStyleRule;
    expect(deep.style.getPropertyValue('--x').trim()).toBe('2');
    expect(style()).toBe(rule); // the same rule, not one that was read anew
    expect(rule.style.getPropertyValue('--a').trim()).toBe('2px');
    expect(rule.style.getPropertyValue('--c').trim()).toBe('rgb(1, 2, 3)');
    expect(rule.style.getPropertyValue('--b')).toBe('');
    restyle(document, ':root {\n  --a: 1px;\n}\n'); // other rules: all of it is read anew
    expect(style()).not.toBe(rule);
    expect(style().style.getPropertyValue('--a').trim()).toBe('1px');
  });
});

describe('swapBody', () => {
  it('takes the body and the language of other HTML, and keeps the tokens', () => {
    const document = page('<p>old</p>');
    swapBody(
      document,
      '<html lang="de"><head><style id="tokens">no</style><style>p{color:red}</style></head><body><p>new</p></body></html>',
    );
    expect(document.body.textContent).toBe('new');
    expect(document.documentElement.lang).toBe('de');
    expect(document.getElementById('tokens')?.textContent).toBe(':root{--a:1}');
    expect(document.querySelectorAll('head style')[1]?.textContent).toBe('p{color:red}');
  });
});

describe('the sections of a page that is being changed', () => {
  const main =
    '<main><p>before</p><div data-section="a"></div><i></i><div data-section="b"></div><div data-section="c"></div></main>';
  const order = (document: Document) =>
    Array.from(document.querySelectorAll<HTMLElement>('main > *'), (one) =>
      one.hasAttribute('data-gone') ? `(${one.dataset['section']})` : (one.dataset['section'] ?? one.tagName),
    ).join(' ');
  it.each([
    [['a', 'b', 'c'], 'P a I b c'],
    [['c', 'a', 'b'], 'P c I a b'],
    [['b', 'a'], 'P b I a (c)'],
    [[''], 'P (a) I (b) (c)'],
    [['a', 'new', 'c'], 'P a I (b) c'],
  ])('stand as %j', (ids, seen) => {
    expect(order(page(main))).toBe('P a I b c');
    const document = page(main);
    standSections(document, ids);
    expect(order(document)).toBe(seen);
    standSections(document, ['a', 'b', 'c']); // refused: all is as it was
    expect(order(document)).toBe('P a I b c');
  });
});

describe('a section that is drawn elsewhere', () => {
  const styled = (css: string, main: string) => {
    const frame = document.createElement('iframe');
    document.body.append(frame);
    const made = frame.contentDocument as Document;
    made.write(`<head><style id="tokens">x{top:0}</style><style>${css}</style></head><main>${main}</main>`);
    made.close();
    return made;
  };
  const offered = () =>
    styled('p{color:red} .new{color:blue}', '<section data-section="offer" style="margin:9px">New</section>');
  it.each([
    ['a', 'a offer b'],
    [null, 'a b offer'],
  ])('stands after %s with the styles that the page lacks, and can be taken away', (after, seen) => {
    const made = styled('p{color:red}', '<section data-section="a"></section><section data-section="b"></section>');
    const order = () =>
      Array.from(made.querySelectorAll<HTMLElement>('main > *'), (one) => one.dataset['section']).join(' ');
    const takeAway = placeSection(made, offered(), 'offer', after);
    const placed = made.querySelector('[data-section="offer"]');
    expect([order(), placed?.getAttribute('style')]).toEqual([seen, null]);
    expect(placed?.querySelector('style')?.textContent).toMatch(/^\.new \{ ?color: blue; ?\}$/);
    takeAway();
    expect(order()).toBe('a b');
  });
  it('is the first of a page that has none; what is not there changes nothing', () => {
    const empty = styled('', '');
    placeSection(empty, offered(), 'offer', null);
    placeSection(empty, offered(), 'unknown', null);
    expect(empty.querySelectorAll('main > *')).toHaveLength(1);
  });
});

describe('lighting uses', () => {
  const body =
    '<section data-ground="deep"><h1 class="i-heading">a</h1><div data-ground="paper"><h2 class="i-heading">b</h2></div></section>';
  it('finds an ink on its nearest ground only', () => {
    expect(usesIn(page(body), 'deep', 'heading').map((e) => e.textContent)).toEqual(['a']);
    expect(usesIn(page(body), 'paper', 'heading').map((e) => e.textContent)).toEqual(['b']);
    expect(usesIn(page(body), 'tint', 'heading')).toEqual([]);
  });
  it('marks uses, counts them, and unmarks the last', () => {
    const document = page(body);
    expect(lightUses(document, { ground: 'deep', ink: 'background' })).toBe(1);
    expect(lightUses(document, { ground: 'paper', ink: 'heading' })).toBe(1);
    expect(document.querySelectorAll('[data-lit]')).toHaveLength(1);
    expect(lightUses(document, null)).toBe(0);
    expect(document.querySelectorAll('[data-lit]')).toHaveLength(0);
  });
});
