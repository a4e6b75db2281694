import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { pointer, type Page } from '../../api/client';
import { useOldPages } from '../../api/pages';
import { PageFrame } from '../../sheet/PageFrame';
import { WIDTH_NAMES, WIDTHS } from '../../sheet/frames';
import { useActions, useShown } from '../../bench/useBench';
import { FRAME } from '../../bench/documents';
import { counted } from '../../parts/counted';
import { AddingPictures } from './AddingPictures';
import { OldPage } from './OldPage';
import { OnPhone } from './OnPhone';
import { ShapeLayer } from './ShapeLayer';
import { TypedLines, type Typed } from './TypedLines';
import { picturesIn, usePictures } from './usePictures';
import { WidthEdge } from './WidthEdge';
import { editInPlace } from './inPlace';
import { read, storedText } from './marks';
import { slotParts, slotValue, type Row } from './rows';

export type EditPageProps = {
  page: Page;
  rows: Row[];
  selected: string;
  /** Called with the section that is worked on, and the slot of its text. */
  choose: (section: string, text?: string) => void;
  /** Called with the document of the page that is shown. */
  onPaper: (document: Document) => void;
};

/** A page whose texts are edited in place. Leaving a text stores it, Escape puts it back; Ctrl I stresses what is selected,
 *  Ctrl B makes it strong. */
export function EditPage({ page, rows, selected, choose, onPaper }: EditPageProps) {
  const { canWrite } = useShown('canWrite');
  const { attend, change, report, say } = useActions();
  const [width, setWidth] = useState<number>(1280);
  const [room, setRoom] = useState(0);
  const [shaping, setShaping] = useState(false);
  const [typed, setTyped] = useState<Typed | null>(null);
  const own = rows.find(
    (row) => row.id === selected && row.document !== FRAME && !row.section.hidden && !row.section.parked,
  );
  useEffect(() => {
    attend(page.id);
    return () => attend(null);
  }, [attend, page.id]);
  const box = useRef<HTMLDivElement>(null);
  const [frame, setFrame] = useState<{ document: Document; swap: number } | null>(null);
  const { adding, add, stop, close } = usePictures();
  const now = useRef({ rows, change, choose, report, onPaper, add, say });
  useEffect(() => {
    now.current = { rows, change, choose, report, onPaper, add, say };
  });
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom(element.clientWidth - 40));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const onDocument = useCallback((document: Document) => {
    now.current.onPaper(document);
    setFrame((last) => ({ document, swap: (last?.swap ?? 0) + 1 }));
  }, []);

  // Before the page is painted: whatever is seen can be written on, and dropped on.
  useLayoutEffect(() => {
    const document = frame?.document;
    if (!document || !canWrite) return;
    const rowOf = (section: string) => now.current.rows.find((row) => row.id === section);
    return editInPlace(document, () => ({
      onFocus: ({ section, slot }) => rowOf(section) && now.current.choose(section, slot),
      onType: ({ section, slot }, written) => {
        const row = rowOf(section);
        if (!row) return;
        const text = storedText(written, String(slotValue(row.section, slot) ?? ''));
        setTyped({ page: page.id, section, slot, text });
      },
      onLeave: () => setTyped(null),
      onStore: ({ section, slot }, written) => {
        const row = rowOf(section);
        if (!row) return Promise.resolve(false);
        const stored = String(slotValue(row.section, slot) ?? '');
        const value = storedText(written, stored);
        if (value === stored) return Promise.resolve(true);
        const path = pointer(...row.base, 'content', ...slotParts(slot));
        const label = `“${read(value).slice(0, 40)}” written`;
        return now.current.change(label, [{ document: row.document, patch: [{ op: 'replace', path, value }] }]);
      },
      onEmptied: () =>
        now.current.report(new Error('A button needs a label. Take the button out in the list on the left instead.')),
      onPress: (section) => rowOf(section) && now.current.choose(section),
    }));
  }, [frame, canWrite, page.id]);

  useLayoutEffect(() => {
    const document = frame?.document;
    if (!document || !canWrite) return;
    const find = (element: Element) => {
      const id = element.closest('[data-section]')?.getAttribute('data-section');
      return now.current.rows.find((row) => row.id === id);
    };
    // Pictures are dropped on the place where they are to stand, or anywhere to have them at hand.
    const pictureAt = (event: DragEvent) =>
      (event.target as Element | null)?.closest?.<HTMLElement>('.picture[data-slot]') ?? null;
    const mark = (over: HTMLElement | null) =>
      document.querySelectorAll('.picture').forEach((one) => one.toggleAttribute('data-lit', one === over));
    const over = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      mark(pictureAt(event));
    };
    const left = () => mark(null);
    const drop = (event: DragEvent) => {
      const files = picturesIn(event.dataTransfer?.files);
      const element = pictureAt(event);
      mark(null);
      event.preventDefault();
      if (!files.length) return;
      const row = element ? find(element) : undefined;
      const slot = element?.dataset['slot'] ?? '';
      void now.current.add(files).then(([first, ...more]) => {
        if (!first) return;
        if (!row || !slot) {
          now.current.say(
            `${counted(more.length + 1, 'picture')} added. Choose them at any picture of a section.`,
            false,
          );
          return;
        }
        const held = (slotValue(row.section, slot) ?? {}) as { alt?: string; overlay?: unknown };
        const alt = first.name || held.alt || '';
        const value = {
          source: `asset:${first.id}`,
          alt,
          decorative: !alt,
          ...(held.overlay ? { overlay: held.overlay } : {}),
        };
        const path = pointer(...row.base, 'content', ...slotParts(slot));
        now.current.choose(row.id);
        void now.current.change(`Picture: ${first.name.slice(0, 60) || first.id}`, [
          { document: row.document, patch: [{ op: 'add', path, value }] },
        ]);
      });
    };
    document.addEventListener('dragover', over);
    document.addEventListener('dragleave', left);
    document.addEventListener('drop', drop);
    return () => {
      document.removeEventListener('dragover', over);
      document.removeEventListener('dragleave', left);
      document.removeEventListener('drop', drop);
    };
  }, [frame, canWrite, page.id]);

  // The chosen section is marked at the side and brought into sight.
  const marker = useRef<HTMLDivElement>(null);
  const shown = room > 0 ? Math.min(width, room) : 0;
  useEffect(() => {
    const bar = marker.current;
    if (!bar) return;
    const element = selected ? frame?.document.querySelector<HTMLElement>(`[data-section="${selected}"]`) : null;
    bar.hidden = !element || !shown;
    if (!element || !shown) return;
    const scale = shown / width;
    const top = element.offsetTop * scale;
    bar.style.top = `${top}px`;
    bar.style.height = `${element.offsetHeight * scale}px`;
    const scroller = box.current;
    if (scroller && (top + 20 < scroller.scrollTop || top > scroller.scrollTop + scroller.clientHeight - 80))
      scroller.scrollTo({ top: Math.max(0, top - 20) });
  }, [selected, frame, shown, width]);

  const [onPhone, setOnPhone] = useState(false);
  const [beside, setBeside] = useState(false);
  const had = useOldPages(useShown('brand').brand.id).data?.pages.length ?? 0;
  return (
    <div className={`edit-page${beside && had ? ' has-old' : ''}`}>
      <div className="edit-widths" role="group" aria-label="Width of the page">
        {WIDTHS.map((one) => (
          <button
            key={one}
            type="button"
            className="width-toggle"
            aria-pressed={one === width}
            onClick={() => setWidth(one)}
          >
            {WIDTH_NAMES[one]}
          </button>
        ))}
        {!(WIDTHS as readonly number[]).includes(width) && <span className="edit-width">{width} px</span>}
        <button
          type="button"
          className="width-toggle edit-shape"
          aria-pressed={shaping}
          disabled={!own}
          title={own ? 'Pull its parts to other columns and rows' : 'Choose a section first'}
          onClick={() => setShaping(!shaping)}
        >
          Shape the section
        </button>
        <button type="button" className="width-toggle" aria-haspopup="dialog" onClick={() => setOnPhone(true)}>
          On a phone…
        </button>
        {had > 0 && (
          <button type="button" className="width-toggle" aria-pressed={beside} onClick={() => setBeside(!beside)}>
            Old site
          </button>
        )}
        {onPhone && <OnPhone close={() => setOnPhone(false)} />}
        {adding ? <AddingPictures adding={adding} stop={stop} close={close} /> : <TypedLines typed={typed} />}
      </div>
      <div
        className="edit-scroll"
        ref={box}
        tabIndex={0}
        role="group"
        aria-label={`The page ${page.name}, for editing`}
      >
        {shown > 0 && (
          <div className="edit-paper" style={{ width: shown }}>
            <PageFrame pageId={page.id} width={width} shown={shown} onDocument={onDocument} focusable />
            <div className="edit-frame" ref={marker} aria-hidden="true" hidden />
            <WidthEdge width={width} scale={shown / width} set={setWidth} />
            {shaping && own && frame && (
              <ShapeLayer
                key={`${own.id} ${width}`}
                page={page.id}
                section={own.id}
                paper={frame.document}
                width={width}
                scale={shown / width}
                drawn={frame.swap}
              />
            )}
          </div>
        )}
      </div>
      {beside && had > 0 && <OldPage key={page.id} page={page} beside={box} width={width} />}
    </div>
  );
}
