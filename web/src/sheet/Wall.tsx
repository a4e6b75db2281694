import type { ReactNode } from 'react';
import { useRoom } from './useRoom';

const WIDTH = 1280;
const GAP = 14;

export type WallProps<Card> = {
  /** What stands side by side, in the plural. */
  name: string;
  range: string;
  cards: Card[];
  numberOf: (card: Card) => number;
  nameOf: (card: Card) => string;
  chosen: number | undefined;
  choose: (number: number) => void;
  before: (() => void) | undefined;
  others: (() => void) | undefined;
  /** Said where there is nothing. */
  empty?: string;
  /** The picture of a card, as wide as is given. */
  draw: (card: Card, shown: number) => ReactNode;
};

/** Proposals side by side on the brand’s own start page; one of them is chosen, and others come in their place. */
export function Wall<Card>(props: WallProps<Card>) {
  const { name, range, cards, numberOf, nameOf, chosen, choose, before, others, empty, draw } = props;
  const { room, box } = useRoom(800);
  const columns = room > 900 ? 4 : room > 480 ? 3 : 2;
  const shown = Math.floor((room - 32 - GAP * (columns - 1)) / columns);
  return (
    <div className="sheet style-wall" ref={box}>
      <div className="sheet-bar">
        <span>
          <b>{name}</b> {range}
        </span>
        <span>
          {before && (
            <button type="button" className="width-toggle" onClick={before}>
              Those before
            </button>
          )}
          {others && (
            <button type="button" className="width-toggle" onClick={others}>
              Others
            </button>
          )}
        </span>
      </div>
      {empty && <p className="sheet-empty">{empty}</p>}
      <ul
        className="style-grid"
        aria-label={`${name} side by side`}
        style={{ gridTemplateColumns: `repeat(${columns}, ${shown}px)` }}
      >
        {cards.map((card) => (
          <li key={`${numberOf(card)} ${nameOf(card)}`} className="style-card">
            {draw(card, shown)}
            <button
              type="button"
              className="style-name"
              aria-pressed={numberOf(card) === chosen}
              onClick={() => choose(numberOf(card))}
            >
              <b>{numberOf(card)}</b> {nameOf(card)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

export type WallFrameProps = {
  title: string;
  html: string | undefined;
  failed: string | undefined;
  shown: number;
  /** Its height as a share of its width. */
  high: number;
};

/** A start page, small and not to be pressed. */
export function WallFrame({ title, html, failed, shown, high }: WallFrameProps) {
  const scale = shown / WIDTH;
  const height = Math.round(shown * high);
  return (
    <span className="style-frame" style={{ width: shown, height }} data-ready={html !== undefined}>
      {html !== undefined ? (
        <iframe
          title={title}
          sandbox="allow-same-origin"
          srcDoc={html}
          tabIndex={-1}
          aria-hidden="true"
          style={{ width: WIDTH, height: height / scale, transform: `scale(${scale})` }}
        />
      ) : (
        <span className="page-frame-wait">{failed ?? 'Drawing…'}</span>
      )}
    </span>
  );
}
