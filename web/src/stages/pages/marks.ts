/** Emphasis in texts that are edited on the page: elements there, asterisks where they are stored. */

const SOFT_HYPHEN = '\u00ad';
/** What pages put around numbers in groups in languages from right to left, so that these keep their order. */
export const ISOLATES = /[\u2066\u2069]/g;
const MARKS: Record<string, string> = { EM: '*', STRONG: '**' };

/** A stored text as it is read: without marks of emphasis and of placeholders. */
export function read(text: string): string {
  const plain = text.replace(/(?<![\w*])(\*\*?)(?=[^\s*])([^*\n]+?)(?<=[^\s*])\1(?![\w*])/g, '$2');
  return plain.replace(/\[\[|\]\]/g, '');
}

const asked = (text: string) => text.replaceAll(SOFT_HYPHEN, '');

/** The text to store for one that was written on the page. Pages divide long words by themselves: their soft hyphens are not
 *  stored, unless the text has had some of its own. */
export function storedText(written: string, stored: string): string {
  return stored.includes(SOFT_HYPHEN) ? written : asked(written);
}

/** What an edited element holds, as it is stored: with breaks, and with marks around what is emphasised. */
export function written(element: Element): string {
  let text = '';
  for (const node of Array.from(element.childNodes)) {
    if (node.nodeType === Node.TEXT_NODE)
      text += (node.textContent ?? '').replace(/\u00a0/g, ' ').replace(ISOLATES, '');
    else if (node.nodeName === 'BR') text += '\n';
    else if (node.nodeName === 'WBR') continue;
    else if (node.nodeType === Node.ELEMENT_NODE) {
      const gap = node as HTMLElement;
      if (gap.classList.contains('file-note')) continue; // told by the page, and not written
      const inner = written(gap);
      // A gap is one as long as it asks for what it asked for; what is written over it is a text.
      if (gap.classList.contains('placeholder')) text += asked(inner) === gap.dataset['gap'] ? `[[${inner}]]` : inner;
      else if (node.nodeName in MARKS && inner.trim()) {
        const mark = MARKS[node.nodeName] ?? '';
        // Marks stand at letters, so spaces at the ends stay outside.
        text += inner.replace(/^(\s*)([\s\S]*?)(\s*)$/, `$1${mark}$2${mark}$3`);
      } else text += node.nodeName === 'DIV' || node.nodeName === 'P' ? `\n${inner}` : inner;
    }
  }
  return text;
}

/** Puts what is selected in an element into emphasis, or out of it where it is in it. */
export function emphasise(element: Element, name: 'em' | 'strong'): void {
  const document = element.ownerDocument;
  const selection = document.getSelection();
  if (!selection?.rangeCount || selection.isCollapsed) return;
  const range = selection.getRangeAt(0);
  if (!element.contains(range.commonAncestorContainer)) return;
  const around = closest(range.startContainer, 'em,strong') ?? closest(range.endContainer, 'em,strong');
  if (around && element.contains(around)) {
    const same = around.nodeName.toLowerCase() === name;
    const parts = Array.from(around.childNodes);
    around.replaceWith(...parts);
    const [first, last] = [parts[0], parts[parts.length - 1]];
    if (same || !first || !last) return;
    range.setStartBefore(first);
    range.setEndAfter(last);
  }
  const made = document.createElement(name);
  const inside = range.extractContents();
  inside.querySelectorAll('em,strong').forEach((one) => one.replaceWith(...Array.from(one.childNodes)));
  made.append(inside);
  range.insertNode(made);
  selection.selectAllChildren(made);
}

function closest(node: Node, selector: string): Element | null {
  return (node.nodeType === Node.ELEMENT_NODE ? (node as Element) : node.parentElement)?.closest(selector) ?? null;
}
