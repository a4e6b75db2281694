import { ISOLATES, written } from './marks';

/** Longer texts that are edited on the page: paragraphs, lists, links and emphasis there, marks where they are stored. */

const BULLET = /^[-*] +/;
const NUMBER = /^\d{1,3}[.)] +/;
const LINK = /(?<!\[)\[([^[\]\n]+)\]\(([^)\s]+)\)/g;
const DESTINATION = /^(https?:\/\/[^\s<>"'\\]{1,500}|mailto:[^\s<>"'\\:/?#]{1,400}|tel:\+?[0-9 ()./-]{1,40})$/;
const BLOCKS =
  /^(P|DIV|LI|UL|OL|H[1-6]|BLOCKQUOTE|SECTION|ARTICLE|HEADER|FOOTER|MAIN|TABLE|TBODY|THEAD|TR|TD|TH|PRE|DL|DT|DD)$/;
const UNSEEN = /^(SCRIPT|STYLE|HEAD|TITLE|META|LINK|TEMPLATE|IFRAME|OBJECT|SVG|NOSCRIPT|BUTTON|SELECT)$/;

type Block = { kind: 'p' | 'ul' | 'ol'; texts: string[] };

/** What an edited long text holds, as it is stored. */
export function proseText(element: Element): string {
  const made: Block[] = [];
  const loose: Node[] = [];
  const line = () => {
    const text = loose.splice(0).reduce((sum, node) => sum + inline(node), '');
    put(made, 'p', text);
  };
  for (const node of Array.from(element.childNodes)) {
    if (node.nodeName === 'UL' || node.nodeName === 'OL') {
      line();
      for (const item of Array.from((node as Element).querySelectorAll('li')))
        put(
          made,
          node.nodeName === 'UL' ? 'ul' : 'ol',
          inlines(item, (one) => one.nodeName !== 'UL' && one.nodeName !== 'OL'),
        );
    } else if (BLOCKS.test(node.nodeName)) {
      line();
      if ((node as Element).querySelector('ul,ol,p,div')) made.push(...read(proseText(node as Element)));
      else put(made, 'p', inlines(node));
    } else loose.push(node);
  }
  line();
  return stored(made);
}

/** What was pasted as HTML, as it is stored: its paragraphs, lists, links and emphasis, and nothing else of it. */
export function pastedText(html: string): string {
  const page = new DOMParser().parseFromString(html, 'text/html'); // inert: nothing of it runs or is fetched
  page.querySelectorAll('*').forEach((one) => UNSEEN.test(one.nodeName) && one.remove());
  const made: Block[] = [];
  let open = '';
  const close = () => {
    put(made, 'p', open);
    open = '';
  };
  const walk = (node: Node) => {
    const name = node.nodeName.toUpperCase();
    if (name === 'UL' || name === 'OL') {
      close();
      for (const item of Array.from((node as Element).querySelectorAll('li')))
        put(
          made,
          name === 'UL' ? 'ul' : 'ol',
          inlines(item, (one) => one.nodeName !== 'UL' && one.nodeName !== 'OL'),
        );
    } else if (BLOCKS.test(name)) {
      close();
      node.childNodes.forEach(walk);
      close();
    } else if (node.nodeType === Node.ELEMENT_NODE && (node as Element).querySelector('p,div,ul,ol,h1,h2,h3')) {
      node.childNodes.forEach(walk);
    } else open += inline(node);
  };
  page.body.childNodes.forEach(walk);
  close();
  return stored(made);
}

/** A stored long text as elements for the page, without classes: the page draws them anew once they are stored. */
export function proseHtml(text: string): string {
  return read(text)
    .map(({ kind, texts }) =>
      kind === 'p'
        ? `<p>${phrased(texts[0] ?? '')}</p>`
        : `<${kind}>${texts.map((one) => `<li>${phrased(one)}</li>`).join('')}</${kind}>`,
    )
    .join('');
}

/** The blocks of a stored text: lines in succession are one paragraph, unless they begin as those of a list do. */
export function read(text: string): Block[] {
  const made: Block[] = [];
  for (const part of text.trim().split(/\n\s*\n/)) {
    let open = false;
    for (const line of part
      .split('\n')
      .map((one) => one.trim())
      .filter(Boolean)) {
      const kind = BULLET.test(line) ? 'ul' : NUMBER.test(line) ? 'ol' : 'p';
      const last = made.at(-1);
      if (kind === 'p' && open && last) last.texts[last.texts.length - 1] += ` ${line}`;
      else if (kind === 'p') made.push({ kind, texts: [line] });
      else {
        const own = line.replace(kind === 'ul' ? BULLET : NUMBER, '');
        if (last?.kind === kind) last.texts.push(own);
        else made.push({ kind, texts: [own] });
      }
      open = true;
    }
  }
  return made;
}

/** Makes a list of a paragraph that begins as one ("- ", "1. ") at the caret; whether it did. */
export function listed(document: Document): boolean {
  const node = document.getSelection()?.anchorNode;
  const paragraph = (node?.nodeType === Node.ELEMENT_NODE ? (node as Element) : node?.parentElement)?.closest(
    '.prose > p, .prose > div',
  );
  const begins = paragraph?.textContent?.replace(/\u00a0/g, ' ') ?? '';
  const kind = begins === '- ' || begins === '* ' ? 'ul' : begins === '1. ' || begins === '1) ' ? 'ol' : '';
  if (!kind || !paragraph) return false;
  const list = document.createElement(kind);
  const item = document.createElement('li');
  list.append(item);
  item.append(document.createElement('br'));
  paragraph.replaceWith(list);
  document.getSelection()?.collapse(item, 0);
  return true;
}

function put(made: Block[], kind: Block['kind'], text: string) {
  const own = text.replace(/\s+/g, ' ').trim();
  if (!own) return;
  const last = made.at(-1);
  if (kind !== 'p' && last?.kind === kind) last.texts.push(own);
  else made.push({ kind, texts: [own] });
}

function stored(made: Block[]): string {
  return made
    .map(({ kind, texts }) =>
      texts
        .map((text, index) => (kind === 'ul' ? `- ${text}` : kind === 'ol' ? `${index + 1}. ${text}` : text))
        .join('\n'),
    )
    .join('\n\n');
}

const inlines = (node: Node, take: (one: Node) => boolean = () => true) =>
  Array.from(node.childNodes).reduce((sum, one) => sum + (take(one) ? inline(one) : ''), '');

/** A run of words as it is stored, with links where they lead somewhere that can be led to. */
function inline(node: Node): string {
  if (node.nodeType === Node.TEXT_NODE) return (node.textContent ?? '').replace(ISOLATES, '');
  if (node.nodeType !== Node.ELEMENT_NODE) return '';
  const element = node as HTMLElement;
  const name = element.nodeName.toUpperCase();
  if (name === 'BR') return ' ';
  if (name === 'WBR' || element.classList.contains('file-note')) return '';
  if (element.classList.contains('placeholder')) return written(wrapped(element));
  const inner = inlines(element);
  if (name === 'A') {
    const to =
      element.dataset['to'] ??
      (DESTINATION.test(element.getAttribute('href') ?? '') ? element.getAttribute('href') : '');
    const label = inner.replace(/[[\]]/g, '').trim();
    return to && label ? inner.replace(inner.trim(), `[${label}](${to})`) : inner;
  }
  const weight = element.style?.fontWeight;
  const strong =
    name === 'STRONG' || (name === 'B' && weight !== 'normal' && weight !== '400') || Number(weight) >= 600;
  const mark = strong ? '**' : name === 'EM' || name === 'I' ? '*' : '';
  return mark && inner.trim() && !inner.includes('*')
    ? inner.replace(/^(\s*)([\s\S]*?)(\s*)$/, `$1${mark}$2${mark}$3`)
    : inner;
}

/** An element in another, as `written` reads what is within one. */
function wrapped(element: Element): Element {
  const made = element.ownerDocument.createElement('span');
  made.append(element.cloneNode(true));
  return made;
}

const escaped = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

function phrased(text: string): string {
  const stressed = (part: string) =>
    escaped(part)
      .replace(/(?<![\w*])\*\*(?=[^\s*])([^*\n]+?)(?<=[^\s*])\*\*(?![\w*])/g, '<strong>$1</strong>')
      .replace(/(?<![\w*])\*(?=[^\s*])([^*\n]+?)(?<=[^\s*])\*(?![\w*])/g, '<em>$1</em>');
  let made = '';
  let at = 0;
  for (const found of text.matchAll(LINK)) {
    made +=
      stressed(text.slice(at, found.index)) + `<a data-to="${escaped(found[2] ?? '')}">${stressed(found[1] ?? '')}</a>`;
    at = found.index + found[0].length;
  }
  return made + stressed(text.slice(at));
}
