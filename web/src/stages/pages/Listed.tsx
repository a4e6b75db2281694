import { useMemo, useState } from 'react';
import type { Focus, Page } from '../../api/client';
import { useListing } from '../../api/pages';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { FocusPoint } from './FocusPoint';

/** Room in px of a title and a description in a search result, on a wide screen, and the type that they are set in (common practice,
 *  from memory). Liberation Sans, which Linux has, is as wide as Arial. */
export const TITLE = { room: 600, font: '20px Arial, "Liberation Sans", sans-serif' };
export const DESCRIPTION = { room: 920, font: '14px Arial, "Liberation Sans", sans-serif' };

type Kind = typeof TITLE;
let canvas: CanvasRenderingContext2D | null = null;

/** How wide a text is drawn, in px; 0 where nothing can be drawn. */
export function widthOf(text: string, { font }: Kind): number {
  canvas ??= document.createElement('canvas').getContext('2d');
  if (!canvas) return 0;
  canvas.font = font;
  return Math.ceil(canvas.measureText(text).width);
}

/** A text as it is shown in its room: whole words, and three dots where it is cut. */
export function cut(text: string, kind: Kind, width: (text: string, kind: Kind) => number = widthOf): string {
  if (width(text, kind) <= kind.room) return text;
  const words = text.split(' ');
  while (words.length > 1 && width(`${words.join(' ')} …`, kind) > kind.room) words.pop();
  return `${words.join(' ')} …`;
}

export type ListedProps = {
  page: Page;
  put: (key: 'title' | 'description', value: string) => void;
  putCard: (card: Page['card'], label: string) => void;
  disabled: boolean;
};

/** A page as search results and cards show it, with what is proposed for them out of its words. */
export function Listed({ page, put, putCard, disabled }: ListedProps) {
  const { brand } = useShown('brand');
  const found = useListing(brand.id, page.id, stampOf(brand)).data;
  const [dragged, setDragged] = useState<Focus | null>(null);
  const own = brand.pictures.find((one) => page.card?.source === `asset:${one.id}`);
  const title = page.title || page.name;
  const description = page.description ?? '';
  const wide = useMemo(
    () => ({ title: widthOf(title, TITLE), description: widthOf(description, DESCRIPTION) }),
    [title, description],
  );
  if (!found) return null;
  const host = found.address.includes('://') ? new URL(found.address) : null;
  const proposals = [
    ...found.titles.filter((one) => one !== page.title).map((value) => ({ key: 'title' as const, value })),
    ...found.descriptions.filter((one) => one !== description).map((value) => ({ key: 'description' as const, value })),
  ].slice(0, 4);
  return (
    <div className="listed">
      {page.searched === false ? (
        <p className="soft">Search engines are asked not to list this page. Links to it show its card all the same.</p>
      ) : (
        <figure>
          <figcaption>As a search result</figcaption>
          <div className="listed-result" dir="auto" lang={brand.identity.body.language}>
            <span>
              {host ? `${host.host}${host.pathname}`.replace(/\/$/, '').replaceAll('/', ' › ') : found.address}
            </span>
            <b>{cut(title, TITLE)}</b>
            <span>{cut(description, DESCRIPTION)}</span>
          </div>
          <p className="listed-measures">
            <Measure what="title" width={wide.title} room={TITLE.room} />
            <Measure what="description" width={wide.description} room={DESCRIPTION.room} />
          </p>
        </figure>
      )}
      <figure>
        <figcaption>As a card</figcaption>
        <div className="listed-card" dir="auto" lang={brand.identity.body.language}>
          <img
            src={`/api/brands/${brand.id}/pages/${page.id}/social?${found.stamp}`}
            alt=""
            width={1200}
            height={630}
          />
          <b>{title}</b>
          <span className="soft">{host?.host ?? 'where the site will stand'}</span>
        </div>
        {brand.pictures.length > 0 && (
          <select
            aria-label="Picture of the card"
            disabled={disabled}
            value={page.card ? (own?.id ?? 'gone') : ''}
            onChange={(event) => {
              const id = event.target.value;
              putCard(
                id ? { source: `asset:${id}` } : null,
                id ? 'The card shows a picture' : 'The card shows the title',
              );
            }}
          >
            <option value="">the title on the deep ground</option>
            {page.card && !own && <option value="gone">a picture that is gone</option>}
            {brand.pictures.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name || one.id}
              </option>
            ))}
          </select>
        )}
        {own && page.card && (
          <FocusPoint
            picture={own.address}
            focus={dragged ?? page.card.focus ?? { x: 0.5, y: 0.5 }}
            disabled={disabled}
            onDrag={setDragged}
            onDone={() => {
              if (dragged && page.card)
                putCard({ source: page.card.source, focus: dragged }, 'What the card keeps in sight');
              setDragged(null);
            }}
          />
        )}
      </figure>
      {proposals.length > 0 && !disabled && (
        <div className="listed-proposed">
          <p className="soft">Proposed from its words</p>
          {proposals.map(({ key, value }) => (
            <button key={`${key} ${value}`} type="button" onClick={() => put(key, value)}>
              <small>{key}</small> {value}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

function Measure({ what, width, room }: { what: string; width: number; room: number }) {
  return (
    <span className={width > room ? 'bad' : 'soft'}>
      {what} {width} of {room} px{width > room ? ', cut' : ''}
    </span>
  );
}
