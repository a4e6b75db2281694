import { useLibrary } from '../api/queries';

/** The kinds of vision as SVG filters on linear light, by the matrices of core (Machado, Oliveira and Fernandes 2009). */
export function VisionFilters() {
  const library = useLibrary();
  return (
    <svg width="0" height="0" className="vision-filters" aria-hidden="true">
      {library.data?.visions.map((vision) => (
        <filter key={vision.id} id={`vision-${vision.id}`} colorInterpolationFilters="linearRGB">
          <feColorMatrix values={[...vision.matrix.map((row) => `${row.join(' ')} 0 0`), '0 0 0 1 0'].join(' ')} />
        </filter>
      ))}
    </svg>
  );
}
