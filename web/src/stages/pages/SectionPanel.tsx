import { useRef, useState, type KeyboardEvent } from 'react';
import type { Arrangement, Page, Section } from '../../api/client';
import { useLibrary } from '../../api/queries';
import type { Bench } from '../../bench/bench';
import { FRAME } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { AddSection } from './AddSection';
import { Ask } from './Ask';
import { read } from './marks';
import { PageWords } from './PageWords';
import type { Row } from './rows';
import { placeOn } from './SectionActions';
import { SectionOpen } from './SectionOpen';
import { useStructure } from './structure';
import { useTakeOut } from './TakeOutDialog';
import { useRowDrag } from './useRowDrag';

export type SectionPanelProps = {
  page: Page;
  rows: Row[];
  current: Row | undefined;
  choose: (section: string, page?: string) => void;
  change: Bench['change'];
  disabled: boolean;
  /** The slot of the text that was worked on last. */
  text?: string;
  /** The page that is shown. */
  paper: () => Document | null;
};

/** What a section is, where it is not simply drawn. */
function stateOf(section: Section, page: Page): string {
  if (section.parked) return 'parked';
  if (section.hidden) return 'hidden';
  const off = section.hidden_on ?? [];
  const written = (page.sections ?? []).findIndex((one) => one.id === section.id) + 1;
  const moved = (Object.keys(page.order_on ?? {}) as ('phone' | 'tablet' | 'desktop')[])
    .filter((width) => !off.includes(width))
    .map((width) => ({ width, place: placeOn(page, section.id, width) }))
    .filter(({ place }) => place !== written);
  return [
    ...(off.length ? [`not on ${off.join(', ')}`] : []),
    ...moved.map(({ width, place }) => `${ordinal(place)} on ${width}`),
  ].join('; ');
}

const ordinal = (place: number) =>
  `${place}${['th', 'st', 'nd', 'rd'][place % 100 > 10 && place % 100 < 14 ? 0 : place % 10] ?? 'th'}`;

/** The sections of a page from the top, in an order that can be changed; the chosen one opens with all that is decided of it. */
export function SectionPanel({ page, rows, current, choose, change, disabled, text = '', paper }: SectionPanelProps) {
  const { brand, token } = useShown('brand', 'token');
  const library = useLibrary();
  const list = useRef<HTMLOListElement>(null);
  const { arrange } = useStructure();
  const takeOut = useTakeOut(() => choose(''));
  const [adding, setAdding] = useState<string | null | undefined>(undefined);
  // The layouts of the catalogue and the brand's own.
  const kinds = (library.data?.kinds ?? []).map((kind) => ({
    ...kind,
    layouts: [...kind.layouts, ...brand.layouts.filter((one) => one.kind === kind.id)],
  }));
  const labelOf = (row: Row) => kinds.find((one) => one.id === row.section.kind)?.label ?? row.section.kind;
  const own = rows.filter((row) => row.document !== FRAME);
  const move = (section: string, after: string) => void arrange({ do: 'move', page: page.id, section, after });
  const { held, grip } = useRowDrag(list, move);

  const keys = (event: KeyboardEvent, row: Row) => {
    if (disabled || row.document === FRAME || event.ctrlKey || event.metaKey) return;
    const place = own.indexOf(row);
    const at = { page: page.id, section: row.id };
    const done: Record<string, () => unknown> = event.altKey
      ? {
          ArrowUp: () => place > 0 && move(row.id, own[place - 2]?.id ?? ''),
          ArrowDown: () => place < own.length - 1 && move(row.id, own[place + 1]?.id ?? ''),
        }
      : {
          a: () => setAdding(row.id),
          d: () => void arrange({ do: 'duplicate', ...at }),
          h: () => void arrange({ do: 'hide', ...at, hidden: !row.section.hidden }),
          p: () => void arrange({ do: row.section.parked ? 'bring_back' : 'park', ...at } as Arrangement),
          Delete: () => !row.section.locked && void takeOut.start(labelOf(row), { do: 'take_out', ...at }),
        };
    const act = done[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };

  return (
    <>
      <ol className="section-list" ref={list} data-dragging={held ? true : undefined}>
        {rows.map((row) => {
          const open = current?.id === row.id;
          const heading = row.section.content?.['heading'];
          const frame = row.document === FRAME;
          const state = stateOf(row.section, page);
          const place = own.indexOf(row);
          const mark = held && !frame ? (held.at === place ? 'before' : held.at === place + 1 ? 'after' : '') : '';
          return (
            <li
              key={row.id}
              className={[
                open ? 'open' : '',
                row.section.parked || row.section.hidden ? 'out' : '',
                held?.id === row.id ? 'held' : '',
                mark === 'after' && place === own.length - 1 ? 'drop-after' : mark === 'before' ? 'drop-before' : '',
              ].join(' ')}
              data-row={frame ? undefined : row.id}
            >
              {!frame && !disabled && (
                <span className="section-grip" aria-hidden="true" title="Drag to another place" {...grip(row.id)} />
              )}
              <button
                type="button"
                className="section-row"
                aria-expanded={open}
                aria-keyshortcuts={frame ? undefined : 'Alt+ArrowUp Alt+ArrowDown'}
                onClick={() => choose(open ? '' : row.id)}
                onKeyDown={(event) => keys(event, row)}
              >
                <i style={{ background: token(`ground/${row.section.ground ?? 'paper'}/background`)?.css }} />
                <b>
                  {labelOf(row)}
                  {state && <em className="section-state">{state}</em>}
                </b>
                <span className="soft">{typeof heading === 'string' ? read(heading) : frame ? 'all pages' : ''}</span>
              </button>
              {open && (
                <SectionOpen
                  page={page}
                  row={row}
                  kinds={kinds}
                  change={change}
                  choose={choose}
                  takeOut={(name, operation) => void takeOut.start(name, operation)}
                  disabled={disabled}
                  text={text}
                  paper={paper}
                />
              )}
            </li>
          );
        })}
        <li className="page-add">
          <button
            type="button"
            className="quiet-action"
            disabled={disabled}
            onClick={() => setAdding(current && current.document !== FRAME ? current.id : null)}
          >
            Add a section
          </button>
          <Ask page={page.id} disabled={disabled} done={(on, section) => choose(section, on)} />
        </li>
        <li className="page-words">
          <PageWords page={page} change={change} disabled={disabled} />
        </li>
      </ol>
      {takeOut.dialog}
      {adding !== undefined && (
        <AddSection
          page={page}
          kinds={kinds}
          after={adding}
          paper={paper}
          close={() => setAdding(undefined)}
          choose={(section) => choose(section)}
        />
      )}
    </>
  );
}
