import { useLayoutEffect, useRef, useState } from 'react';
import { usePageInLanguage } from '../../api/languages';
import { useShown } from '../../bench/useBench';
import { Waiting } from '../../parts/Waiting';

const WIDTH = 1280;

/** A page as it is in a language, for looking at. */
export function InLanguage({ code, name, page }: { code: string; name: string; page: string }) {
  const { brand } = useShown('brand');
  const drawn = usePageInLanguage(brand, page, code, true);
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(0);
  const [height, setHeight] = useState(0);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom(element.clientWidth - 40));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const scale = Math.min(1, room / WIDTH);
  const title = `${brand.pages.find((one) => one.body.id === page)?.body.name ?? page}, ${name}`;
  return (
    <div className="languages-page-view" ref={box} tabIndex={0} role="group" aria-label={title}>
      {drawn.data ? (
        room > 0 && (
          <div style={{ width: WIDTH * scale, height: height * scale }}>
            <iframe
              title={title}
              sandbox="allow-same-origin"
              tabIndex={-1}
              srcDoc={drawn.data.html}
              style={{ width: WIDTH, height: Math.max(height, 600), transform: `scale(${scale})` }}
              onLoad={(event) => setHeight(event.currentTarget.contentDocument?.body.scrollHeight ?? 0)}
            />
          </div>
        )
      ) : (
        <Waiting error={drawn.error ?? undefined} retry={() => void drawn.refetch()} />
      )}
    </div>
  );
}
