import { useMemo, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { inkName } from '../parts/inks';
import { useActions, useShown } from '../bench/useBench';
import { WIDTH_NAMES, WIDTHS } from './frames';
import { LookBar } from './LookBar';
import { Reached } from './Reached';
import { useRoom } from './useRoom';
import { percent, useShares } from './useShares';
import { VisionFilters } from './VisionFilters';
import { PageFrame } from './PageFrame';
import { counted } from '../parts/counted';

export type SheetProps = {
  /** The widths that are shown at first. */
  widths?: number[];
};

/** All pages at all widths, live. */
export function Sheet({ widths = [360, 1280] }: SheetProps) {
  const { brand, system, lit } = useShown('brand', 'system', 'lit');
  const { light } = useActions();
  const [shown, setShown] = useState<number[]>(widths);
  const [open, setOpen] = useState<{ page: string; width: number } | null>(null);
  const { room, box } = useRoom(600);
  // Columns share the room by the root of their widths, so that phones stay readable beside wide screens.
  const columns = useMemo(() => {
    const order = WIDTHS.filter((width) => shown.includes(width)).sort((a, b) => b - a);
    const free = room - 32 - 74 - 14 * order.length;
    const sum = order.reduce((total, width) => total + Math.sqrt(width), 0);
    return order.map((width) => ({ width, px: Math.max(90, Math.floor((free * Math.sqrt(width)) / sum)) }));
  }, [shown, room]);
  const toggle = (width: number) =>
    setShown((now) =>
      now.includes(width) ? (now.length > 1 ? now.filter((one) => one !== width) : now) : [...now, width],
    );
  const share = useShares()?.[lit ? `ground/${lit.ground}/${lit.ink === 'link' ? 'text/label/rest' : lit.ink}` : ''];
  const use = lit && system.uses.find((one) => one.ground === lit.ground && one.ink === lit.ink);
  const openPage = open && brand.pages.find((page) => page.body.id === open.page);

  return (
    <div className="sheet" ref={box}>
      <div className="sheet-bar">
        <span>
          <b>All pages</b> ×{' '}
          {WIDTHS.map((width) => (
            <button
              key={width}
              type="button"
              className="width-toggle"
              aria-pressed={shown.includes(width)}
              onClick={() => toggle(width)}
            >
              {WIDTH_NAMES[width]}
            </button>
          ))}
        </span>
        <LookBar />
      </div>
      {lit && (
        <p className="lit-line" role="status">
          Lit: <b>{lit.ink === 'background' ? `the ${lit.ground} ground` : `${inkName(lit.ink)} on ${lit.ground}`}</b>
          {' · '}
          {lit.ink === 'background'
            ? `${counted(system.sections[lit.ground] ?? 0, 'section')}`
            : `${counted(use?.count ?? 0, 'use')}`}
          {share !== undefined && ` · ${percent(share)} of the painted area`}{' '}
          <button type="button" className="link" onClick={() => light(null)}>
            put out
          </button>
        </p>
      )}
      <Reached />
      <VisionFilters />
      <div className="sheet-rows" style={{ gridTemplateColumns: `62px ${columns.map((c) => `${c.px}px`).join(' ')}` }}>
        {brand.pages.map((page) => (
          <div className="sheet-row" key={page.body.id}>
            <div className="sheet-page">
              <h2>{page.body.name}</h2>
              <small>{counted(page.body.sections?.length ?? 0, 'section')}</small>
            </div>
            {columns.map(({ width, px }) => (
              <div className="cell" key={width}>
                <div
                  className="cell-scroll"
                  tabIndex={0}
                  role="group"
                  aria-label={`${page.body.name}, ${WIDTH_NAMES[width]}`}
                >
                  <PageFrame pageId={page.body.id} width={width} shown={px} />
                </div>
                <button
                  type="button"
                  className="cell-open"
                  aria-label={`Open ${page.body.name}, ${WIDTH_NAMES[width]}, at full size`}
                  title="Full size"
                  onClick={() => setOpen({ page: page.body.id, width })}
                >
                  <svg viewBox="0 0 16 16" aria-hidden="true">
                    <path d="M9 2h5v5M14 2 9 7M7 14H2V9M2 14l5-5" />
                  </svg>
                </button>
              </div>
            ))}
          </div>
        ))}
      </div>
      <Modal show={open !== null} onHide={() => setOpen(null)} fullscreen aria-labelledby="full-size-title">
        {open && openPage && (
          <>
            <Modal.Header closeButton closeLabel="Close">
              <Modal.Title id="full-size-title" as="h2">
                {openPage.body.name}
              </Modal.Title>
              <div className="full-widths">
                {WIDTHS.map((width) => (
                  <button
                    key={width}
                    type="button"
                    className="width-toggle"
                    aria-pressed={open.width === width}
                    onClick={() => setOpen({ ...open, width })}
                  >
                    {WIDTH_NAMES[width]} {width}
                  </button>
                ))}
              </div>
            </Modal.Header>
            <Modal.Body className="full-body" tabIndex={0}>
              <PageFrame key={open.width} pageId={open.page} width={open.width} shown={open.width} />
            </Modal.Body>
          </>
        )}
      </Modal>
    </div>
  );
}
