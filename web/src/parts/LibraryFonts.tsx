import type { Identity } from '../api/client';
import { useLibrary } from '../api/queries';

const STATIC = '/static/fonts/';

/** Makes the families of the library and the brand’s own known to the studio. Files load when they are used. */
export function LibraryFonts({ brandId, fonts }: { brandId: string; fonts: Identity['fonts'] }) {
  const library = useLibrary();
  const rule = (name: string, address: string, lightest: number, heaviest: number, ranges = '') =>
    `@font-face{font-family:"${name}";src:url(${address}) format("woff2");font-weight:${lightest} ${heaviest};` +
    `font-display:swap${ranges && `;unicode-range:${ranges}`}}`;
  const shipped = library.data?.families.flatMap((family) =>
    family.faces.map((face) =>
      rule(family.name, `${STATIC}${family.id}/${face.key}.woff2`, face.lightest, face.heaviest, face.ranges),
    ),
  );
  const own = (fonts ?? []).flatMap((font) =>
    font.files.map((file) =>
      rule(font.name, `/api/brands/${brandId}/fonts/${file.sha256.slice(0, 16)}.woff2`, file.lightest, file.heaviest),
    ),
  );
  return <style>{[...(shipped ?? []), ...own].join('\n')}</style>;
}
