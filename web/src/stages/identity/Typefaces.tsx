import { LibraryView } from '../type/LibraryView';

/** The brand’s typefaces: chosen among the library and its own files, on its own words. */
export function Typefaces() {
  return (
    <section aria-labelledby="typefaces-title">
      <h2 id="typefaces-title" className="identity-head">
        Typefaces
      </h2>
      <LibraryView />
    </section>
  );
}
