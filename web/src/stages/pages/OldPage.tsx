import { useEffect, useRef, useState, type RefObject } from 'react';
import { useOldPage, useOldPages } from '../../api/pages';
import { useShown } from '../../bench/useBench';

export type OldPageProps = {
  /** The page that it lies beside, for what it is likely to be called. */
  page: { id: string; name: string };
  /** What scrolls the new page; both stand at the same share of their height. */
  beside: RefObject<HTMLElement | null>;
  width: number;
};

/** The old page that is likely the same: one whose file is called as the page is, else the first. */
export function likely(pages: { id: number; name: string }[], page: { id: string; name: string }): number {
  const bare = (text: string) =>
    text
      .toLowerCase()
      .replace(/\.html?$/, '')
      .replace(/[^\p{L}\p{N}]/gu, '');
  const called = [bare(page.id), bare(page.name)];
  const found = pages.find((one) => called.includes(bare(one.name.split('/').at(-1) ?? '')));
  return (found ?? pages[0])?.id ?? 0;
}

const shareOf = (element: Element) => {
  const room = element.scrollHeight - element.clientHeight;
  return room > 0 ? element.scrollTop / room : 0;
};

/** The site that the brand has had, beside the new one at the same scroll. It runs no script and asks for nothing. */
export function OldPage({ page, beside, width }: OldPageProps) {
  const { brand } = useShown('brand');
  const pages = useOldPages(brand.id).data?.pages ?? [];
  const [chosen, setChosen] = useState<number | null>(null);
  const id = chosen ?? likely(pages, page);
  const found = useOldPage(brand.id, id);
  const pane = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [height, setHeight] = useState(800);
  const [room, setRoom] = useState(0);
  useEffect(() => {
    const element = pane.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  useEffect(() => {
    const [own, other] = [pane.current, beside.current];
    if (!own || !other) return;
    let led: Element | null = null; // which of them is being moved by the other
    const lead = (from: Element, to: Element) => () => {
      if (led === from) {
        led = null;
        return;
      }
      const top = Math.round(shareOf(from) * (to.scrollHeight - to.clientHeight));
      if (Math.abs(top - to.scrollTop) < 1) return;
      led = to;
      to.scrollTop = top;
    };
    const [down, up] = [lead(other, own), lead(own, other)];
    other.addEventListener('scroll', down, { passive: true });
    own.addEventListener('scroll', up, { passive: true });
    return () => {
      other.removeEventListener('scroll', down);
      own.removeEventListener('scroll', up);
    };
  }, [beside, id]);
  const scale = room ? Math.min(1, room / width) : 1;
  return (
    <section className="old-page" aria-label="The old site">
      <div className="old-page-bar">
        <label>
          <span className="visually-hidden">Page of the old site</span>
          <select value={id} onChange={(event) => setChosen(Number(event.target.value))}>
            {pages.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <span className="soft">as it was handed in</span>
      </div>
      <div className="old-page-pane" ref={pane} tabIndex={0} role="group" aria-label="The old page">
        {found.isError && <p role="alert">{found.error.message}</p>}
        {found.isPending && <p className="soft">Drawing…</p>}
        {found.data && (
          <div style={{ height: height * scale, overflow: 'hidden' }}>
            <iframe
              ref={frame}
              title="The old page"
              sandbox="allow-same-origin"
              srcDoc={found.data.html}
              tabIndex={-1}
              style={{ width, height, transform: `scale(${scale})`, transformOrigin: '0 0', border: 0 }}
              onLoad={() => {
                const document = frame.current?.contentDocument;
                document?.addEventListener('click', (event) => event.preventDefault());
                document?.addEventListener('submit', (event) => event.preventDefault());
                setHeight(Math.min(30_000, Math.max(400, document?.documentElement.scrollHeight ?? 800)));
              }}
            />
          </div>
        )}
      </div>
    </section>
  );
}
