import { useEffect, useMemo, useRef, useState } from 'react';
import { useMatrix } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { restyle } from '../../sheet/frames';
import { tokensCss } from './tokensCss';

const WIDTH = 1000;

/** Buttons in every variant and state on each ground in use, with fields and cards beside them, live. */
export function Matrix() {
  const { brand, system, choices, token, look } = useShown('brand', 'system', 'choices', 'token', 'look');
  // What the page is made of besides its tokens; a drag changes tokens alone.
  const made = [
    brand.identity.revision,
    brand.frame.revision,
    ...brand.pages.map((page) => page.revision),
    choices.cards,
    choices.buttons?.arrow,
    choices.buttons?.raised,
  ].join('.');
  const matrix = useMatrix(brand.id, made, look.scheme);
  const html = matrix.data?.html;
  const css = useMemo(
    () =>
      tokensCss(
        system.tokens.map((one) => token(one.path) ?? one),
        look.scheme,
      ),
    [system, token, look.scheme],
  );
  const frame = useRef<HTMLIFrameElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const [loaded, setLoaded] = useState(0);
  const [height, setHeight] = useState(600);
  const [room, setRoom] = useState(WIDTH);
  useEffect(() => {
    const document = frame.current?.contentDocument;
    if (loaded && document) restyle(document, css);
  }, [loaded, css]);
  useEffect(() => {
    const body = frame.current?.contentDocument?.body;
    if (!loaded || !body) return;
    const observer = new ResizeObserver(() => setHeight(body.scrollHeight));
    observer.observe(body);
    return () => observer.disconnect();
  }, [loaded]);
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => setRoom(entry?.contentRect.width ?? WIDTH));
    if (holder.current) observer.observe(holder.current);
    return () => observer.disconnect();
  }, []);
  const scale = Math.min(1, room / WIDTH);
  const width = Math.max(WIDTH, room);
  return (
    <div
      className="matrix-sheet"
      role="region"
      aria-label="Matrix of buttons, fields and cards"
      tabIndex={0}
      ref={holder}
      style={{ filter: look.vision ? `url(#vision-${look.vision})` : undefined }}
    >
      {html ? (
        <div style={{ height: height * scale }}>
          <iframe
            ref={frame}
            title="Buttons, fields and cards"
            sandbox="allow-same-origin"
            srcDoc={html}
            onLoad={() => setLoaded((count) => count + 1)}
            style={{ width, height, transform: `scale(${scale})` }}
          />
        </div>
      ) : (
        <p className="empty-line">{matrix.isError ? 'The matrix cannot be drawn.' : 'Drawing…'}</p>
      )}
    </div>
  );
}
