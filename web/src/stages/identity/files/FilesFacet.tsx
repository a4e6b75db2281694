import { useState } from 'react';
import type { Sources } from '../../../api/client';
import { useShown } from '../../../bench/useBench';
import { FactList } from './FactList';
import { FileList } from './FileList';
import type { Intake } from './useIntake';

export type FilesFacetProps = { sources: Sources | undefined; intake: Intake };

/** The brand’s files on the left, what they say on the right. */
export function FilesFacet({ sources, intake }: FilesFacetProps) {
  const { canWrite } = useShown('canWrite');
  const [file, setFile] = useState('');
  if (!sources)
    return (
      <p role="status" className="empty-line">
        Opening…
      </p>
    );
  return (
    <div className="files-facet">
      <FileList sources={sources} intake={intake} disabled={!canWrite} only={file} show={setFile} />
      {sources.facts.length ? (
        <FactList sources={sources} intake={intake} disabled={!canWrite} file={file} all={() => setFile('')} />
      ) : (
        <div className="empty">
          <h2>{sources.files.length ? 'Nothing found yet' : 'Bring the brand’s folder'}</h2>
          <p>
            Logo files, the guideline, fonts, the old website, palettes, texts, photographs: drop them all together.
            Every fact comes back with where it was found, and nothing is taken over until you say so.
          </p>
          <p className="soft">
            Reads SVG, PNG, JPEG, WebP, AVIF, PDF, CSS, HTML, ZIP, design tokens, .gpl, .ase, CSV, TTF, OTF, WOFF,
            WOFF2, TXT, Markdown, DOCX and ODT.
          </p>
        </div>
      )}
    </div>
  );
}
