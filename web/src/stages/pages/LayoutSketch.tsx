export type LayoutSketchProps = { kind: string; layout: string };

/** x, y, width, height on a 48 × 30 board, and what it is: t text, h headline, p picture, c card, b button. */
type Piece = [number, number, number, number, 't' | 'h' | 'p' | 'c' | 'b'];

const SKETCHES: Record<string, Piece[]> = {
  'header/bar': [
    [3, 12, 10, 5, 'h'],
    [22, 13, 4, 2, 't'],
    [28, 13, 4, 2, 't'],
    [37, 11, 8, 6, 'b'],
  ],
  'header/masthead': [
    [18, 7, 12, 6, 'h'],
    [3, 17, 42, 0.6, 't'],
    [13, 20, 5, 2, 't'],
    [21, 20, 5, 2, 't'],
    [29, 20, 5, 2, 't'],
  ],
  'hero/horizon': [
    [3, 7, 20, 4, 'h'],
    [3, 12, 16, 4, 'h'],
    [3, 20, 9, 4, 'b'],
    [28, 0, 20, 30, 'p'],
  ],
  'hero/frieze': [
    [3, 4, 42, 6, 'h'],
    [0, 13, 45, 9, 'p'],
    [26, 24, 15, 3, 't'],
  ],
  'hero/window': [
    [0, 0, 27, 25, 'p'],
    [20, 9, 25, 19, 'c'],
    [23, 13, 16, 4, 'h'],
    [23, 19, 12, 2, 't'],
  ],
  'hero/backcloth': [
    [0, 0, 48, 30, 'p'],
    [3, 14, 26, 4, 'h'],
    [3, 20, 16, 2, 't'],
    [3, 24, 9, 3, 'b'],
  ],
  'hero/words': [
    [3, 10, 22, 4, 'h'],
    [3, 16, 16, 4, 'h'],
    [32, 16, 13, 2, 't'],
    [32, 19, 10, 2, 't'],
  ],
  'picture_text/offset': [
    [0, 4, 27, 22, 'p'],
    [31, 11, 14, 4, 'h'],
    [31, 17, 13, 2, 't'],
    [31, 20, 10, 2, 't'],
  ],
  'picture_text/column': [
    [3, 5, 13, 4, 'h'],
    [20, 5, 20, 2, 't'],
    [20, 8, 16, 2, 't'],
    [20, 13, 25, 14, 'p'],
  ],
  'picture_text/sill': [
    [8, 0, 40, 22, 'p'],
    [3, 13, 21, 15, 'c'],
    [6, 16, 12, 3, 'h'],
    [6, 21, 14, 2, 't'],
  ],
  'cards/lead': [
    [3, 3, 14, 3, 'h'],
    [3, 9, 20, 13, 'p'],
    [25, 9, 9, 8, 'p'],
    [36, 9, 9, 8, 'p'],
    [3, 24, 12, 2, 't'],
    [25, 19, 8, 2, 't'],
    [36, 19, 8, 2, 't'],
  ],
  'cards/ledger': [
    [3, 4, 12, 4, 'h'],
    [18, 4, 8, 2, 'h'],
    [30, 4, 15, 2, 't'],
    [18, 11, 8, 2, 'h'],
    [30, 11, 15, 2, 't'],
    [18, 18, 8, 2, 'h'],
    [30, 18, 15, 2, 't'],
  ],
  'cards/terrace': [
    [3, 3, 14, 3, 'h'],
    [3, 9, 13, 12, 'c'],
    [18, 12, 13, 12, 'c'],
    [33, 15, 13, 12, 'c'],
  ],
  'call_to_action/sweep': [
    [3, 8, 20, 5, 'h'],
    [3, 16, 14, 2, 't'],
    [3, 21, 9, 4, 'b'],
    [32, 6, 24, 24, 'p'],
  ],
  'call_to_action/ledge': [
    [3, 9, 22, 4, 'h'],
    [3, 16, 16, 2, 't'],
    [35, 13, 10, 5, 'b'],
  ],
  'footer/columns': [
    [3, 6, 16, 4, 'h'],
    [3, 13, 12, 2, 't'],
    [26, 6, 7, 2, 't'],
    [26, 10, 7, 2, 't'],
    [38, 6, 7, 2, 't'],
    [3, 23, 42, 0.6, 't'],
  ],
  'footer/line': [
    [3, 13, 14, 4, 'h'],
    [26, 14, 5, 2, 't'],
    [33, 14, 5, 2, 't'],
    [40, 14, 5, 2, 't'],
  ],
};

/** A small drawing of a layout. */
export function LayoutSketch({ kind, layout }: LayoutSketchProps) {
  return (
    <svg className="sketch" viewBox="0 0 48 30" aria-hidden="true">
      {(SKETCHES[`${kind}/${layout}`] ?? []).map(([x, y, width, height, what], index) =>
        what === 'p' && kind === 'call_to_action' ? (
          <circle key={index} cx={x + width / 2} cy={y + height / 2} r={width / 2} className="p" />
        ) : (
          <rect key={index} x={x} y={y} width={width} height={height} className={what} />
        ),
      )}
    </svg>
  );
}
