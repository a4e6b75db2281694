import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { usePreview, useReach } from '../api/queries';
import { useActions, useShown } from '../bench/useBench';
import { stampOf } from '../bench/documents';
import { paintedAreas } from './areas';
import { enlist, isWritten, lightUses, restyle, standSections, studioStyle, swapBody, WIDTH_NAMES } from './frames';

export type PageFrameProps = {
  pageId: string;
  /** Width of the page in CSS px. */
  width: number;
  /** Width on the screen in px; the page is scaled to it. */
  shown: number;
  /** Called with the frame's document when it is loaded and whenever its body was swapped. */
  onDocument?: (document: Document) => void;
  /** Whether the keyboard goes through the page, as it does where texts are edited. */
  focusable?: boolean;
  /** Whether uses are lit in it. */
  lights?: boolean;
};

/** A live page at one width, in a frame that runs no script. */
export function PageFrame({ pageId, width, shown, onDocument, focusable = false, lights = true }: PageFrameProps) {
  const { brand, system, lit, look, foreseen } = useShown('brand', 'system', 'lit', 'look', 'foreseen');
  const { measured } = useActions();
  const reach = useReach(brand.id, stampOf(brand), lights);
  const page = brand.pages.find((one) => one.body.id === pageId);
  const preview = usePreview(brand.id, pageId, page?.preview ?? '', look.scheme);
  const css = look.scheme === system.schemes[0] ? system.css : system.css_dark;
  const frame = useRef<HTMLIFrameElement>(null);
  const [first, setFirst] = useState<string | null>(null);
  const [loaded, setLoaded] = useState(0);
  const [height, setHeight] = useState(0);
  const scale = shown / width;
  const html = foreseen?.page === pageId ? foreseen.html : preview.data?.html;
  const newest = useRef(css);
  if (html && first === null) setFirst(html);

  const drawn = useRef<string | null>(null);
  // What stood before the page that is asked for is no news of it.
  const news = foreseen?.page === pageId || !preview.isPlaceholderData;
  const key = page?.preview;
  // Before the studio itself is painted: what was done shows with it.
  useLayoutEffect(() => {
    const document = frame.current?.contentDocument;
    if (!loaded || !document || !html) return;
    // What was written on the page and taken back before it was drawn anew: the HTML is what it was, the page is not.
    const stale = news && isWritten(document);
    if (drawn.current !== html || stale) {
      const editing = document.activeElement?.hasAttribute('contenteditable');
      // A frame loads with the first HTML; by then there may be other.
      if (((drawn.current ?? first) !== html || stale) && !editing) swapBody(document, html);
      drawn.current = html;
      onDocument?.(document);
    }
  }, [loaded, html, first, onDocument, news, key]);
  // What a change of the structure comes to is seen before it is stored and the page drawn anew.
  const standing = (page?.body.sections ?? [])
    .filter((one) => !one.hidden && !one.parked)
    .map((one) => one.id)
    .join(' ');
  useLayoutEffect(() => {
    const document = frame.current?.contentDocument;
    if (loaded && document && !document.activeElement?.hasAttribute('contenteditable'))
      standSections(document, standing.split(' '));
  }, [loaded, html, standing]);
  useEffect(() => {
    if (loaded && frame.current) return enlist(frame.current);
  }, [loaded]);
  // A fresh frame gets the tokens that are shown; after that the workbench restyles all frames together.
  useEffect(() => {
    newest.current = css;
  }, [css]);
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (loaded && document) restyle(document, newest.current);
  }, [loaded, html]);
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (loaded && document) studioStyle(document, scale);
  }, [loaded, scale]);
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (loaded && document) lightUses(document, lights ? lit : null);
  }, [loaded, lit, lights, html]);
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (!loaded || !document) return;
    const measure = () => setHeight(document.body.scrollHeight);
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    measure();
    const still = (event: Event) => {
      if ((event.target as Element | null)?.closest('a')) event.preventDefault();
    };
    document.addEventListener('click', still);
    return () => {
      observer.disconnect();
      document.removeEventListener('click', still);
    };
  }, [loaded]);

  const drawings = reach.data?.drawn;
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (!loaded || !document || !height || !drawings || width > 1280 || !(width in WIDTH_NAMES)) return;
    // After the layout that a change brings; colours alone move nothing.
    const timer = setTimeout(() => measured(pageId, width, paintedAreas(document, drawings)), 200);
    return () => clearTimeout(timer);
  }, [loaded, height, html, drawings, width, pageId, measured]);

  const name = `${page?.body.name ?? pageId}, ${WIDTH_NAMES[width] ?? ''} ${width}`;
  return (
    <div
      className="page-frame"
      style={{
        width: shown,
        height: Math.max(height * scale, 40),
        filter: look.vision ? `url(#vision-${look.vision})` : undefined,
      }}
      data-ready={height > 0}
    >
      {first === null ? (
        <span className="page-frame-wait">{preview.isError ? 'The page cannot be drawn.' : 'Drawing…'}</span>
      ) : (
        <iframe
          ref={frame}
          title={name}
          sandbox="allow-same-origin"
          srcDoc={first}
          tabIndex={focusable ? undefined : -1}
          onLoad={() => {
            drawn.current = null;
            setLoaded((count) => count + 1);
          }}
          style={{ width, height: Math.max(height, 60), transform: `scale(${scale})` }}
        />
      )}
    </div>
  );
}
