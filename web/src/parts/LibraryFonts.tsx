import { useLibrary } from '../api/queries';

/** Makes the library's families known to the studio, for specimens and small compositions. Files load when used. */
export function LibraryFonts() {
  const library = useLibrary();
  const faces = library.data?.families.map(
    (family) =>
      `@font-face{font-family:"${family.name}";src:url(/static/fonts/${family.id}/latin.woff2) format("woff2");` +
      `font-weight:${family.lightest} ${family.heaviest};font-display:swap}`,
  );
  return <style>{faces?.join('\n')}</style>;
}
