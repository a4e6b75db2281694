import { pointer } from '../../api/client';
import { MarkImage } from '../../parts/MarkImage';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { UploadSaid } from './UploadSaid';
import { useUpload } from './useUpload';

/** The logo files, each shown on light and dark; an upload is rebuilt by the server, and shown at once. */
export function Marks() {
  const { brand, token, canWrite } = useShown('brand', 'token', 'canWrite');
  const { change } = useActions();
  const marks = brand.identity.body.marks ?? [];
  const { busy, upload, ...said } = useUpload('marks');
  const paper = token('ground/paper/background')?.css;
  const deep = token('ground/deep/background')?.css;
  return (
    <section aria-labelledby="marks-title">
      <h2 id="marks-title" className="identity-head">
        Logo
      </h2>
      <ul className="marks">
        {marks.map((mark, index) => (
          <li key={mark.id}>
            <span className="mark-faces">
              <span style={{ background: paper }}>
                <MarkImage svg={mark.svg} alt={`${mark.name} on paper`} />
              </span>
              <span style={{ background: deep }}>
                <MarkImage svg={mark.svg} alt={`${mark.name} on deep`} />
              </span>
            </span>
            <span className="mark-line">
              <b>{mark.name}</b>
              <select
                aria-label={`What ${mark.name} is`}
                value={mark.kind}
                disabled={!canWrite}
                onChange={(event) =>
                  void change('Mark described', [
                    {
                      document: IDENTITY,
                      patch: [{ op: 'replace', path: pointer('marks', index, 'kind'), value: event.target.value }],
                    },
                  ])
                }
              >
                <option value="full">full lock-up</option>
                <option value="symbol">symbol</option>
                <option value="wordmark">wordmark</option>
              </select>
              <button
                type="button"
                className="remove"
                disabled={!canWrite}
                aria-label={`Take out ${mark.name}`}
                onClick={() =>
                  void change(`Mark ${mark.name} taken out`, [
                    { document: IDENTITY, patch: [{ op: 'remove', path: pointer('marks', index) }] },
                  ])
                }
              >
                ×
              </button>
            </span>
          </li>
        ))}
      </ul>
      <label className="drop">
        <input
          type="file"
          accept=".svg,image/svg+xml"
          disabled={!canWrite || busy !== ''}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void upload('file', [file]);
          }}
        />
        <span>{busy ? `Reading ${busy}…` : marks.length ? 'Add another SVG' : 'Add the logo as SVG'}</span>
        <span className="soft">
          {marks.length ? 'For instance one for dark grounds' : 'Until then the name is set in the heading typeface'}
        </span>
      </label>
      <UploadSaid {...said} />
    </section>
  );
}
