import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Arrangement } from '../../api/client';
import { useParts } from '../../api/pages';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { columnsOf, nearestColumn, type Columns } from './columns';
import { useStructure } from './structure';

export type ShapeLayerProps = {
  page: string;
  section: string;
  /** The document of the page, the width that it has, and its scale on the screen. */
  paper: Document;
  width: number;
  scale: number;
  /** A number that changes when the page is drawn anew. */
  drawn: number;
};

type Placed = { cols: [number, number]; row: number };
type Box = { left: number; top: number; width: number; height: number };
type Pull = {
  part: number;
  what: 'start' | 'end' | 'whole';
  cols: [number, number];
  from: number;
  top: number;
  row: number;
};

const RATIOS = ['fills', '1x1', '5x4', '4x3', '3x2', '16x9', '2x1', '4x5', '3x4', '2x3'];

/** Over a section that is shaped: its columns, and each part of its layout with edges that can be pulled to another column. What it comes
 *  to is a layout of one's own. */
export function ShapeLayer({ page, section, paper, width, scale, drawn }: ShapeLayerProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { arrange } = useStructure();
  const found = useParts(brand.id, { page, section }, stampOf(brand));
  const parts = found.data?.parts ?? [];
  const kind = width < 768 ? 'phone' : width < 1024 ? 'tablet' : 'desktop';
  const [boxes, setBoxes] = useState<Record<string, Box>>({});
  const [columns, setColumns] = useState<Columns | null>(null);
  const [area, setArea] = useState<Box | null>(null);
  const [pull, setPull] = useState<Pull | null>(null);
  const [ahead, setAhead] = useState<{ of: unknown; by: Map<number, Placed> } | null>(null);
  const layer = useRef<HTMLDivElement>(null);
  const names = parts.map((one) => one.region).join(' ');
  useEffect(() => {
    const element = paper.querySelector<HTMLElement>(`[data-section="${section}"]`);
    if (!element) return;
    const measure = () => {
      const own = element.getBoundingClientRect();
      const top = own.top + (paper.defaultView?.scrollY ?? 0);
      setArea({ left: own.left, top, width: own.width, height: own.height });
      setColumns(columnsOf(element.querySelector('.grid'), own.left));
      const next: Record<string, Box> = {};
      for (const name of names.split(' ')) {
        const box = element.querySelector(`.grid > .region--${name}`)?.getBoundingClientRect();
        if (box)
          next[name] = { left: box.left - own.left, top: box.top - own.top, width: box.width, height: box.height };
      }
      setBoxes(next);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [paper, section, names, drawn, width]);

  const placed = (part: (typeof parts)[number]): Placed => {
    // Where it was just pulled to, until the answer tells how it stands: the next pull goes on from there.
    const pulled = ahead?.of === parts ? ahead.by.get(parts.indexOf(part)) : undefined;
    if (pulled) return pulled;
    const [first = 1, last = 12, row = 1] = kind === 'tablet' ? part.tablet : [...part.cols, part.row];
    return { cols: [first, last], row };
  };
  const shape = (part: number, change: Partial<Placed> & { phone?: string; ratio?: string }) => {
    if (change.cols && change.row) {
      const own = { cols: change.cols, row: change.row };
      setAhead((last) => ({ of: parts, by: new Map(last?.of === parts ? last.by : []).set(part, own) }));
    }
    void arrange({ do: 'reshape', page, section, part, width: kind, ...change } as Arrangement).then((done) => {
      if (!done) setAhead(null);
    });
  };

  const start = (event: PointerEvent<HTMLElement>, part: number, what: Pull['what']) => {
    const own = parts[part];
    if (event.button !== 0 || !own || kind === 'phone' || !canWrite) return;
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const at = placed(own);
    setPull({ part, what, cols: at.cols, from: event.clientX, top: event.clientY, row: at.row });
  };
  const move = (event: PointerEvent<HTMLElement>) => {
    const own = pull && parts[pull.part];
    const ground = layer.current?.getBoundingClientRect();
    if (!pull || !own || !columns || !ground) return;
    const { cols, row } = placed(own);
    const [low, high] = own.picture ? [0, 13] : [1, 12];
    const keep = (value: number) => Math.max(low, Math.min(high, value));
    if (pull.what === 'whole') {
      const by = Math.round((event.clientX - pull.from) / scale / columns.step);
      const most = Math.max(low - cols[0], Math.min(high - cols[1], by));
      const down = rowAt(parts.map(placed), boxes, parts, (event.clientY - ground.top) / scale, pull.part);
      setPull({
        ...pull,
        cols: [cols[0] + most, cols[1] + most],
        row: Math.abs(event.clientY - pull.top) < 12 ? row : down,
      });
      return;
    }
    const at = keep(nearestColumn(columns, (event.clientX - ground.left) / scale, pull.what));
    const next: [number, number] =
      pull.what === 'start' ? [Math.min(at, cols[1]), cols[1]] : [cols[0], Math.max(at, cols[0])];
    setPull({ ...pull, cols: next });
  };
  const end = () => {
    const own = pull && parts[pull.part];
    setPull(null);
    if (!pull || !own) return;
    const { cols, row } = placed(own);
    if (pull.cols[0] === cols[0] && pull.cols[1] === cols[1] && pull.row === row) return;
    shape(pull.part, { cols: pull.cols, row: pull.row });
  };
  const keys = (event: KeyboardEvent, part: number) => {
    const own = parts[part];
    if (!own || !canWrite) return;
    const side = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const down = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (!side && !down) return;
    event.preventDefault();
    event.stopPropagation();
    if (kind === 'phone') {
      if (side && own.picture) shape(part, { phone: own.phone === 'edge' ? 'inset' : 'edge' });
      return;
    }
    const { cols, row } = placed(own);
    if (down) shape(part, { cols, row: Math.max(1, row + down) });
    else if (side && event.altKey) shape(part, { cols: [cols[0] + side, cols[1]], row });
    else if (side && event.shiftKey) shape(part, { cols: [cols[0], cols[1] + side], row });
    else if (side) shape(part, { cols: [cols[0] + side, cols[1] + side], row });
  };

  if (!area) return null;
  const px = (value: number) => value * scale;
  return (
    <div
      className="shape-layer"
      ref={layer}
      style={{ top: px(area.top), left: px(area.left), width: px(area.width), height: px(area.height) }}
    >
      {columns && kind !== 'phone' && (
        <div className="shape-columns" aria-hidden="true">
          {columns.edges.map((edge, index) => (
            <i key={index} style={{ left: px(edge.left), width: px(edge.width) }} />
          ))}
        </div>
      )}
      {found.data && parts.length === 0 && (
        <p className="shape-none" role="status">
          This layout has parts that stand freely. Take another layout, or compose one, and shape that.
        </p>
      )}
      {parts.map((part, index) => {
        const box = boxes[part.region];
        if (!box) return null;
        const { cols, row } = placed(part);
        const now = pull?.part === index && columns ? pull : null;
        const span = now && columns ? spanOf(columns, now.cols, area.width) : null;
        const where =
          kind === 'phone'
            ? part.picture
              ? part.phone === 'edge'
                ? 'to the edges'
                : 'within the margins'
              : 'in the one column'
            : `columns ${cols[0]} to ${cols[1]}, row ${row}`;
        return (
          <div
            key={part.region}
            className={`shape-part${now ? ' pulled' : ''}`}
            style={{
              left: px(span ? span.left : box.left),
              width: px(span ? span.width : box.width),
              top: px(box.top),
              height: px(box.height),
            }}
            onPointerMove={move}
            onPointerUp={end}
            onPointerCancel={() => setPull(null)}
          >
            <button
              type="button"
              className="shape-whole"
              aria-label={`${part.label}: ${where}`}
              title={`${part.label}: ${where}`}
              onPointerDown={(event) => start(event, index, 'whole')}
              onKeyDown={(event) => keys(event, index)}
              onDoubleClick={() =>
                kind === 'phone' && part.picture && shape(index, { phone: part.phone === 'edge' ? 'inset' : 'edge' })
              }
            >
              <span>
                {part.label}
                {now && ` · ${now.cols[0]}–${now.cols[1]}${now.row === row ? '' : `, row ${now.row}`}`}
              </span>
            </button>
            {part.picture && (
              <select
                className="shape-ratio"
                aria-label={`Proportions of ${part.label}`}
                disabled={!canWrite}
                value={part.ratio}
                onChange={(event) => shape(index, { ratio: event.target.value })}
              >
                {!RATIOS.includes(part.ratio) && <option value={part.ratio}>{part.ratio.replace('x', ' : ')}</option>}
                {RATIOS.map((one) => (
                  <option key={one} value={one}>
                    {one === 'fills' ? 'fills its rows' : one.replace('x', ' : ')}
                  </option>
                ))}
              </select>
            )}
            {kind !== 'phone' && (
              <>
                <i className="shape-edge start" onPointerDown={(event) => start(event, index, 'start')} />
                <i className="shape-edge end" onPointerDown={(event) => start(event, index, 'end')} />
              </>
            )}
          </div>
        );
      })}
    </div>
  );
}

/** The row that lies at a height: that of the part there, else one more than the last. */
function rowAt(
  at: { row: number }[],
  boxes: Record<string, Box>,
  parts: { region: string }[],
  y: number,
  but: number,
): number {
  let row = 1;
  parts.forEach((part, index) => {
    const box = boxes[part.region];
    if (!box || index === but) return;
    if (y > box.top + box.height) row = Math.max(row, (at[index]?.row ?? 1) + 1);
    else if (y > box.top) row = Math.max(row, at[index]?.row ?? 1);
  });
  return row;
}

function spanOf(columns: Columns, cols: [number, number], whole: number): { left: number; width: number } {
  const first = cols[0] === 0 ? 0 : (columns.edges[cols[0] - 1]?.left ?? 0);
  const last = columns.edges[cols[1] - 1];
  const right = cols[1] === 13 || !last ? whole : last.left + last.width;
  return { left: first, width: right - first };
}
