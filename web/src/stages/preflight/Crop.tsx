import { useCallback, useEffect, useRef, useState } from 'react';
import type { Finding } from '../../api/client';
import { PageFrame } from '../../sheet/PageFrame';

export type CropProps = {
  finding: Finding;
  /** The page as it would be drawn, which is shown in the place of what it is. */
  trial?: string | undefined;
};

const BOX = { width: 264, height: 168 };
const TALL = 2400; // px of a page that is drawn for a trial beneath the place

type View = {
  scale: number;
  left: number;
  top: number;
  frame: { left: number; top: number; width: number; height: number };
};

/** Where a finding is on a drawn page: its slot, else its section, else the page. */
function placeOf(document: Document, finding: Finding): Element {
  const section = finding.section && document.querySelector(`[data-section="${CSS.escape(finding.section)}"]`);
  if (!section) return document.body;
  const slot = CSS.escape(finding.target.replace(/\/label$/, ''));
  return (
    section.querySelector(`[data-slot="${slot}"]`) ?? section.querySelector(`[data-slot="${slot}/label"]`) ?? section
  );
}

/** How a box of a page is shown: as large as fits with some of what stands around it. */
function viewOf(rect: DOMRect, width: number): View {
  const scale =
    width <= 400 ? BOX.width / width : Math.min(0.8, Math.max(BOX.width / width, BOX.width / (rect.width + 80)));
  const centre = { x: rect.left + Math.min(rect.width, 900) / 2, y: rect.top + Math.min(rect.height, 400) / 2 };
  const most = Math.max(0, width * scale - BOX.width);
  const left = Math.min(most, Math.max(0, centre.x * scale - BOX.width / 2));
  const top = Math.max(0, centre.y * scale - BOX.height / 2);
  return {
    scale,
    left,
    top,
    frame: {
      left: Math.max(1, rect.left * scale - left - 3),
      top: Math.max(1, rect.top * scale - top - 3),
      width: Math.min(BOX.width - 4, rect.width * scale + 6),
      height: Math.min(BOX.height - 4, rect.height * scale + 6),
    },
  };
}

/** The place of a finding, cut out of its live page, with a frame around it; or as it would be with a fix. */
export function Crop({ finding, trial }: CropProps) {
  const width = finding.width ?? 1280;
  const box = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  const [view, setView] = useState<View | null>(null);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    // Frames are only made for findings near the screen.
    const observer = new IntersectionObserver(
      (entries) => entries.some((entry) => entry.isIntersecting) && setNear(true),
      { rootMargin: '200px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const place = useCallback(
    (document: Document) => {
      void document.fonts.ready.then(() => setView(viewOf(placeOf(document, finding).getBoundingClientRect(), width)));
    },
    [finding, width],
  );
  const shift = view ? `translate(${-view.left}px, ${-view.top}px)` : '';
  return (
    <div className="crop" ref={box} aria-hidden="true" style={BOX} data-trial={trial ? true : undefined}>
      {near && (
        <div style={view ? { transform: shift } : { visibility: 'hidden' }}>
          <PageFrame
            pageId={finding.page}
            width={width}
            shown={width * (view?.scale ?? BOX.width / width)}
            onDocument={place}
            lights={false}
          />
        </div>
      )}
      {trial && view && (
        <div className="crop-trial">
          <iframe
            title="With the fix"
            tabIndex={-1}
            sandbox="allow-same-origin"
            srcDoc={trial}
            style={{
              width,
              height: view.top / view.scale + TALL,
              transform: `${shift} scale(${view.scale})`,
            }}
          />
        </div>
      )}
      {view && <span className="crop-frame" style={view.frame} />}
      {trial && <span className="crop-note">with the fix</span>}
    </div>
  );
}
