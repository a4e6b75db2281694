import type { components } from '../../api/schema';

type Piece = components['schemas']['PieceCard'];

export type LayoutSketchProps = { pieces: Piece[] };

/** A small drawing of a layout, as it is declared. */
export function LayoutSketch({ pieces }: LayoutSketchProps) {
  return (
    <svg className="sketch" viewBox="0 0 48 30" aria-hidden="true">
      {pieces.map(({ x, y, width, height, what }, index) =>
        what === 'drawing' ? (
          <circle key={index} cx={x + width / 2} cy={y + height / 2} r={width / 2} className={what} />
        ) : (
          <rect key={index} x={x} y={y} width={width} height={height} className={what} />
        ),
      )}
    </svg>
  );
}
