import { useEffect, useId } from 'react';
import Modal from 'react-bootstrap/Modal';

/** Every key of the workbench, by where it works. */
const KEYS: { where: string; keys: [string, string][] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['?', 'shows these keys'],
      ['Ctrl+Z', 'takes back your last change'],
      ['Ctrl+Shift+Z, Ctrl+Y', 'makes it again'],
      ['← →', 'along tabs'],
      ['Esc', 'closes a dialog; puts a text back as it was'],
    ],
  },
  {
    where: 'On a row of the list of sections',
    keys: [
      ['Enter', 'opens or closes the section'],
      ['Alt+↑, Alt+↓', 'moves it up or down'],
      ['A', 'adds a section after it'],
      ['D', 'duplicates it'],
      ['H', 'hides it, or shows it again'],
      ['P', 'parks it, or brings it back'],
      ['Delete', 'takes it out'],
    ],
  },
  {
    where: 'On a part of a section that is shaped',
    keys: [
      ['← →', 'moves it by a column; on phones a picture to the edges or back'],
      ['Alt+← →', 'pulls its first edge'],
      ['Shift+← →', 'pulls its last edge'],
      ['↑ ↓', 'moves it to another row'],
    ],
  },
  {
    where: 'On the frame of a picture that is cut',
    keys: [['← → ↑ ↓', 'moves it, or the side that has the focus, by 1 %; with Shift by 5']],
  },
  {
    where: 'With the brush on an edge',
    keys: [
      ['← → ↑ ↓', 'moves the brush; with Shift farther'],
      ['Space', 'sets it down'],
    ],
  },
  {
    where: 'On the edge of the page',
    keys: [
      ['← →', 'makes it narrower or wider by 8 px; with Shift by 1'],
      ['Home, End', 'as narrow or as wide as it goes'],
    ],
  },
  {
    where: 'In the inbox',
    keys: [['↑ ↓', 'to the next enquiry, which is then read']],
  },
  {
    where: 'In a text on the page',
    keys: [
      ['Enter', 'stores it'],
      ['Shift+Enter', 'a new line, in running text'],
      ['Ctrl+I, Ctrl+B', 'stresses the selected words, makes them strong'],
    ],
  },
  {
    where: 'In a longer text with paragraphs and lists',
    keys: [
      ['Enter', 'a new paragraph, or the next item of a list; in an empty one, out of the list'],
      ['- or 1. and a space', 'begins a list in an empty paragraph'],
      ['Ctrl+Enter', 'stores it'],
    ],
  },
];

export function KeysDialog({ close }: { close: () => void }) {
  const id = useId();
  return (
    <Modal show onHide={close} aria-labelledby={id} centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={id}>
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="keys" tabIndex={0}>
        {KEYS.map((part) => (
          <section key={part.where}>
            <h3>{part.where}</h3>
            <dl>
              {part.keys.map(([key, what]) => (
                <div key={key}>
                  <dt>
                    <kbd>{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
        <p className="soft">Everything that is dragged can be moved by these keys or by buttons as well.</p>
      </Modal.Body>
    </Modal>
  );
}

/** `?` shows the keys, unless a text is being written. */
export function useKeysKey(show: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (
        event.key !== '?' ||
        event.ctrlKey ||
        event.metaKey ||
        target?.closest('input, textarea, select, [contenteditable]')
      )
        return;
      event.preventDefault();
      show();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [show]);
}
