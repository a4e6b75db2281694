import { useCallback, useEffect, useRef, useState } from 'react';
import type { Finding } from '../../api/client';
import { PageFrame } from '../../sheet/PageFrame';

export type CropProps = { finding: Finding };

const BOX = { width: 196, height: 112 };

type View = {
  scale: number;
  left: number;
  top: number;
  frame: { left: number; top: number; width: number; height: number };
};

/** The place of a finding, cut out of its live page, with a frame around it. */
export function Crop({ finding }: CropProps) {
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
      {
        rootMargin: '200px',
      },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const place = useCallback(
    (document: Document) => {
      const look = () => {
        const section = finding.section && document.querySelector(`[data-section="${finding.section}"]`);
        const slot = finding.target.replace(/\/label$/, '');
        const inside =
          section &&
          (section.querySelector(`[data-slot="${slot}"]`) ?? section.querySelector(`[data-slot="${slot}/label"]`));
        const element = inside || section || document.body;
        const rect = element.getBoundingClientRect();
        const wide = width <= 400;
        const scale = wide ? BOX.width / width : Math.min(0.5, Math.max(0.16, BOX.width / (rect.width + 120)));
        const centre = { x: rect.left + Math.min(rect.width, 900) / 2, y: rect.top + Math.min(rect.height, 400) / 2 };
        const most = Math.max(0, width * scale - BOX.width);
        const left = Math.min(most, Math.max(0, centre.x * scale - BOX.width / 2));
        const top = Math.max(0, centre.y * scale - BOX.height / 2);
        setView({
          scale,
          left,
          top,
          frame: {
            left: Math.max(1, rect.left * scale - left - 3),
            top: Math.max(1, rect.top * scale - top - 3),
            width: Math.min(BOX.width - 4, rect.width * scale + 6),
            height: Math.min(BOX.height - 4, rect.height * scale + 6),
          },
        });
      };
      void document.fonts.ready.then(look);
    },
    [finding, width],
  );
  return (
    <div className="crop" ref={box} aria-hidden="true" style={BOX}>
      {near && (
        <div style={view ? { transform: `translate(${-view.left}px, ${-view.top}px)` } : { visibility: 'hidden' }}>
          <PageFrame
            pageId={finding.page}
            width={width}
            shown={width * (view?.scale ?? BOX.width / width)}
            onDocument={place}
            lights={false}
          />
        </div>
      )}
      {view && <span className="crop-frame" style={view.frame} />}
    </div>
  );
}
