import { markWritten } from '../../sheet/frames';
import { emphasise, written } from './marks';
import { listed, pastedText, proseHtml, proseText } from './prose';

/** A text on the page, by its section and its slot. */
export type Spot = { section: string; slot: string };

export type InPlace = {
  /** Called when the caret comes into a text, and with what stands there at every key. */
  onFocus: (spot: Spot) => void;
  onType: (spot: Spot, text: string) => void;
  onLeave: () => void;
  /** Stores a text; false puts it back as it was. */
  onStore: (spot: Spot, text: string) => Promise<boolean>;
  /** Called for a label that was emptied. */
  onEmptied: (spot: Spot) => void;
  /** Called with the section that was pressed. */
  onPress: (section: string) => void;
};

// What is no text: it is worked on in the panel.
const NO_TEXT = '.picture, .table-box, .form, .map, .rating, .own, form, table';

/** What an element holds, as it is stored. */
export const textOf = (element: Element): string =>
  element.matches('.prose') ? proseText(element) : written(element).trim();

/** Makes the texts of a page editable where they stand: leaving one stores it, Escape puts it back. The page runs no script; the studio
 *  listens from outside. Gives what ends it. */
export function editInPlace(document: Document, now: () => InPlace): () => void {
  document.querySelectorAll<HTMLElement>('[data-slot]').forEach((element) => {
    if (element.matches(NO_TEXT) || (!element.matches('.prose') && element.querySelector(NO_TEXT))) return;
    const long = element.matches('.prose');
    element.setAttribute('contenteditable', long ? 'true' : 'plaintext-only');
    element.setAttribute('role', 'textbox');
    if (long) element.setAttribute('aria-multiline', 'true');
    element.setAttribute('aria-label', element.dataset['slot']?.split('/').join(' ') ?? '');
    element.setAttribute('spellcheck', 'true');
  });
  const before = new WeakMap<Element, { text: string; nodes: Node[] }>();
  const restore = (element: Element) => {
    const own = before.get(element);
    if (own) element.replaceChildren(...own.nodes.map((node) => node.cloneNode(true)));
  };
  const editable = (target: EventTarget | null) =>
    (target as Element | null)?.closest?.<HTMLElement>('[data-slot][contenteditable]') ?? null;
  const spotOf = (element: Element | null): Spot | null => {
    const section = element?.closest('[data-section]')?.getAttribute('data-section');
    return element && section ? { section, slot: (element as HTMLElement).dataset['slot'] ?? '' } : null;
  };
  const focus = (event: FocusEvent) => {
    const element = editable(event.target);
    const spot = spotOf(element);
    if (!element || !spot) return;
    before.set(element, {
      text: textOf(element),
      nodes: Array.from(element.childNodes, (node) => node.cloneNode(true)),
    });
    now().onFocus(spot);
    type(event);
  };
  const type = (event: Event) => {
    const element = editable(event.target);
    const spot = spotOf(element);
    if (!element || !spot) return;
    if (element.matches('.prose') && event.type === 'input') listed(document);
    if (!spot.slot.endsWith('/label')) now().onType(spot, textOf(element));
  };
  const blur = (event: FocusEvent) => {
    now().onLeave();
    const element = editable(event.target);
    const spot = spotOf(element);
    if (!element || !spot) return;
    const text = textOf(element);
    if (text === (before.get(element)?.text ?? '')) return;
    if (!text && spot.slot.endsWith('/label')) {
      restore(element);
      now().onEmptied(spot);
      return;
    }
    markWritten(document);
    void now()
      .onStore(spot, text)
      .then((done) => {
        if (!done) restore(element);
      });
  };
  const key = (event: KeyboardEvent) => {
    const element = editable(event.target);
    if (!element) return;
    const way = event.ctrlKey || event.metaKey ? { i: 'em' as const, b: 'strong' as const }[event.key] : undefined;
    const long = element.matches('.prose');
    if (way) {
      event.preventDefault();
      // A label is set as its button is.
      if (!element.dataset['slot']?.endsWith('/label')) emphasise(element, way);
    } else if (event.key === 'Escape') {
      restore(element);
      element.blur();
    } else if (event.key === 'Enter' && long) {
      if (!event.ctrlKey && !event.metaKey) return; // a paragraph, or an item, as the browser makes it
      event.preventDefault();
      element.blur();
    } else if (event.key === 'Enter' && !(event.shiftKey && element.matches('.t-body, .t-intro'))) {
      event.preventDefault();
      element.blur();
    }
  };
  const paste = (event: ClipboardEvent) => {
    const element = editable(event.target);
    if (!element?.matches('.prose') || !event.clipboardData) return;
    event.preventDefault();
    const html = event.clipboardData.getData('text/html');
    const text = html ? pastedText(html) : event.clipboardData.getData('text/plain');
    if (/\n/.test(text.trim()) || /^([-*]|\d+[.)]) /.test(text))
      document.execCommand('insertHTML', false, proseHtml(text));
    else document.execCommand('insertHTML', false, proseHtml(text).replace(/^<p>|<\/p>$/g, ''));
  };
  const press = (event: MouseEvent) => {
    if (editable(event.target)) return; // chosen with its text when the caret came
    const section = (event.target as Element | null)?.closest?.('[data-section]')?.getAttribute('data-section');
    if (section) now().onPress(section);
  };
  document.execCommand?.('defaultParagraphSeparator', false, 'p');
  const listeners: [string, (event: never) => void][] = [
    ['focusin', focus],
    ['focusout', blur],
    ['input', type],
    ['keydown', key],
    ['paste', paste],
    ['click', press],
  ];
  listeners.forEach(([name, listener]) => document.addEventListener(name, listener as EventListener));
  return () => listeners.forEach(([name, listener]) => document.removeEventListener(name, listener as EventListener));
}
