/** Work on the documents of preview frames. The frames run no script; the studio reaches in. */

export const WIDTH_NAMES: Record<number, string> = { 360: 'phone', 768: 'tablet', 1280: 'desktop', 1920: 'wide' };
export const WIDTHS = [360, 768, 1280, 1920] as const;

/** The frames, and which of them are in sight: those are restyled at once, the others when nothing else is to be done. */
const live = new Set<Document>();
const inSight = new Set<Document>();
const drawn = new WeakMap<HTMLStyleElement, string>();
const AFTER = 150; // ms without a restyle
let wanted = '';
let later: ReturnType<typeof setTimeout> | undefined;

/** Keeps a frame among those that are restyled together, until the answer is called. */
export function enlist(frame: HTMLIFrameElement): () => void {
  const document = frame.contentDocument;
  if (!document) return () => undefined;
  live.add(document);
  inSight.add(document); // until it is known
  const observer = new IntersectionObserver(([entry]) => {
    if (!entry?.isIntersecting) inSight.delete(document);
    else {
      inSight.add(document);
      if (wanted) restyle(document, wanted);
    }
  });
  observer.observe(frame);
  return () => {
    observer.disconnect();
    live.delete(document);
    inSight.delete(document);
  };
}

/** Puts other tokens into every frame, before anything else of the studio is drawn anew. */
export function restyleAll(css: string): void {
  wanted = css;
  inSight.forEach((document) => restyle(document, css));
  clearTimeout(later);
  later = setTimeout(() => live.forEach((document) => restyle(document, wanted)), AFTER);
}

/** Once what has been set so far is on the screen, or could be. A window that is not seen paints nothing. */
export function painted(): Promise<void> {
  return new Promise((resolve) => {
    const late = setTimeout(resolve, 120);
    requestAnimationFrame(() => {
      clearTimeout(late);
      setTimeout(resolve);
    });
  });
}

/** Puts other tokens into a frame: the whole restyle. Where the sheet has the same rules as before only the properties that
 *  differ are set, which is many times faster than reading all of it again, and leaves other grounds alone. */
export function restyle(document: Document, css: string): void {
  const style = document.getElementById('tokens') as HTMLStyleElement | null;
  if (!style) return;
  const before = drawn.get(style) ?? style.textContent ?? '';
  if (before === css) return;
  const [was, now] = [rulesOf(before), rulesOf(css)];
  const rules = Array.from(style.sheet?.cssRules ?? []) as CSSStyleRule[];
  const same = now.length > 0 && now.length === was.length && now.length === rules.length;
  if (same && now.every((rule, index) => rule.selector === was[index]?.selector))
    now.forEach((rule, index) => change(rules[index]?.style, was[index]?.values, rule.values));
  else style.textContent = css;
  drawn.set(style, css);
}

type Values = Map<string, string>;

function change(style: CSSStyleDeclaration | undefined, was: Values | undefined, now: Values): void {
  if (!style || !was) return;
  now.forEach((value, name) => {
    if (was.get(name) !== value) style.setProperty(name, value);
  });
  was.forEach((_, name) => {
    if (!now.has(name)) style.removeProperty(name);
  });
}

const read = new Map<string, { selector: string; values: Values }[]>();

/** The rules of a sheet as core writes it, one property on a line; none of any other sheet. */
function rulesOf(css: string): { selector: string; values: Values }[] {
  const known = read.get(css);
  if (known) return known;
  const found = Array.from(css.matchAll(/^([^{}\n]+) \{\n([^{}]*)\}\n/gm), ([, selector = '', inside = '']) => ({
    selector,
    values: new Map(
      inside.split(';\n').flatMap((line) => {
        const at = line.indexOf(': ');
        return at > 0 ? [[line.slice(0, at).trim(), line.slice(at + 2)] as const] : [];
      }),
    ),
  }));
  if (read.size > 8) read.clear();
  read.set(css, found);
  return found;
}

const WRITTEN = 'data-written';

/** Says that a page was written on: it shows what its HTML does not have, until it is drawn anew. */
export const markWritten = (page: Document): void => page.body.setAttribute(WRITTEN, '');
export const isWritten = (page: Document): boolean => page.body.hasAttribute(WRITTEN);

/** Swaps the body of a frame for that of other HTML, keeping styles and scroll. */
export function swapBody(document: Document, html: string): void {
  const next = new DOMParser().parseFromString(html, 'text/html');
  document.body.replaceChildren(...Array.from(next.body.childNodes).map((node) => document.adoptNode(node)));
  document.documentElement.lang = next.documentElement.lang;
  document.body.className = next.body.className;
  document.body.removeAttribute(WRITTEN);
  // Styles other than the tokens change with the typefaces.
  const now = document.querySelectorAll<HTMLStyleElement>('head style:not(#tokens):not(#studio)');
  next.querySelectorAll<HTMLStyleElement>('head style:not(#tokens)').forEach((style, index) => {
    const own = now[index];
    if (own && own.textContent !== style.textContent) own.textContent = style.textContent;
  });
}

/** Has the sections of a page stand as they will once a change is stored: these, in this order. What is not drawn yet comes with
 *  the page; what goes is only out of sight, so that it is back where the change is refused. */
export function standSections(document: Document, ids: string[]): void {
  const all = Array.from(document.querySelectorAll<HTMLElement>('main > [data-section]'));
  all.forEach((one) => one.toggleAttribute('data-gone', !ids.includes(one.dataset['section'] ?? '')));
  const place = (one: HTMLElement) => ids.indexOf(one.dataset['section'] ?? '');
  const now = all.filter((one) => place(one) >= 0);
  const next = [...now].sort((one, other) => place(one) - place(other));
  if (next.every((one, index) => one === now[index])) return;
  const marks = now.map((one) => {
    const mark = document.createComment('');
    one.replaceWith(mark);
    return mark;
  });
  marks.forEach((mark, index) => mark.replaceWith(next[index] as HTMLElement));
}

/** Puts a section that is drawn elsewhere on a page, after one of its own or at the end, with the styles that it needs, until the
 *  page itself is drawn with it. The answer takes it away again. */
export function placeSection(page: Document, drawn: Document, section: string, after: string | null): () => void {
  const found = drawn.querySelector<HTMLElement>(`main > [data-section="${section}"]`);
  const own = Array.from(page.querySelectorAll('main > [data-section]'));
  const before = after === null ? own.at(-1) : own.find((one) => one.getAttribute('data-section') === after);
  if (!found) return () => undefined;
  const copy = page.importNode(found, true);
  copy.removeAttribute('style');
  const rules = (of: Document) =>
    Array.from(of.querySelectorAll<HTMLStyleElement>('head style:not(#tokens):not(#studio)'), (one) =>
      Array.from(one.sheet?.cssRules ?? [], (rule) => rule.cssText),
    ).flat();
  const known = new Set(rules(page));
  const style = page.createElement('style');
  style.textContent = rules(drawn)
    .filter((rule) => !known.has(rule))
    .join('\n');
  copy.prepend(style);
  if (before) before.after(copy);
  else page.querySelector('main')?.prepend(copy);
  return () => copy.remove();
}

/** Adds the studio's own styles over a page: lit uses, edited places. `scale` keeps outlines as thick at any size. */
export function studioStyle(document: Document, scale: number): void {
  let style = document.getElementById('studio');
  if (!style) {
    style = document.createElement('style');
    style.id = 'studio';
    document.head.append(style);
  }
  const px = (size: number) => `${(size / scale).toFixed(2)}px`;
  style.textContent = `
    [data-lit]{outline:${px(2)} solid #69C3E4 !important;outline-offset:${px(1)} !important}
    [data-slot][contenteditable]{cursor:text}
    [data-slot][contenteditable]:hover{outline:${px(1)} dashed #69C3E4}
    [data-slot][contenteditable]:focus{outline:${px(2)} solid #69C3E4;outline-offset:${px(3)}}
    [data-gone]{display:none !important}
    html{overflow:hidden}
    a{cursor:default}`;
}

const INK_SELECTORS: Record<string, string> = {
  heading: '.i-heading,.mark-name',
  body: '.i-body,.links a',
  quiet: '.i-quiet',
  link: '.button--text',
  'primary/label/rest': '.button--primary',
  'secondary/label/rest': '.button--secondary',
};

/** The elements of a frame that use an ink on a ground; with the ink "background", everything that is the ground. */
export function usesIn(document: Document, ground: string, ink: string): Element[] {
  if (ink === 'background') return Array.from(document.querySelectorAll(`[data-ground="${ground}"]:not(body)`));
  const selector = INK_SELECTORS[ink];
  if (!selector) return [];
  return Array.from(document.querySelectorAll(selector)).filter(
    (element) => element.closest('[data-ground]')?.getAttribute('data-ground') === ground,
  );
}

/** Marks the uses of an ink in a frame, and unmarks all others. Returns how many there are. */
export function lightUses(document: Document, lit: { ground: string; ink: string } | null): number {
  document.querySelectorAll('[data-lit]').forEach((element) => element.removeAttribute('data-lit'));
  if (!lit) return 0;
  const uses = usesIn(document, lit.ground, lit.ink);
  uses.forEach((element) => element.setAttribute('data-lit', ''));
  return uses.length;
}

/** Shows another overlay and focus on a section's picture, without storing them. */
export function tryOnPicture(
  document: Document,
  section: string,
  overlay: { opacity: number; shape: string },
  focus: { x: number; y: number },
): void {
  const picture = document.querySelector<HTMLElement>(`[data-section="${section}"] .picture`);
  if (!picture) return;
  picture.dataset['shape'] = overlay.shape;
  picture.style.setProperty('--overlay', String(overlay.opacity));
  picture.style.setProperty('--focus-x', String(focus.x));
  picture.style.setProperty('--focus-y', String(focus.y));
}
