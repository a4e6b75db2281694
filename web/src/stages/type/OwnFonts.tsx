import { pointer } from '../../api/client';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { UploadSaid } from '../identity/UploadSaid';
import { useUpload } from '../identity/useUpload';

/** The brand’s own font files: what their licence bits say, what follows from it, and the way to add more. */
export function OwnFonts() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const identity = brand.identity.body;
  const fonts = identity.fonts ?? [];
  const { busy, upload, ...said } = useUpload('fonts');
  const used = Object.values(identity.typefaces ?? {});
  return (
    <section className="own-fonts" aria-labelledby="own-fonts-title">
      <h2 id="own-fonts-title">The brand’s own</h2>
      {fonts.map((font, index) => (
        <div key={font.id} className="own-font">
          <b style={{ fontFamily: `"${font.name}"` }}>{font.name}</b>
          <span className="soft">
            {font.files.length === 1 ? 'One file' : `${font.files.length} files`},{' '}
            {Math.round(font.files.reduce((sum, file) => sum + file.size, 0) / 1000)} kB · embedding:{' '}
            {font.embedding || 'not stated'}
            {font.no_subsetting && ' · served whole'}
            {font.reserved_name && ' · its name is reserved, so it is served whole'}
            {font.restricted && ' · stays out of downloads'}
          </span>
          {font.restricted && (
            <label>
              <input
                type="checkbox"
                checked={font.declared ?? false}
                disabled={!canWrite || used.includes(font.id)}
                onChange={(event) =>
                  void change(
                    event.target.checked ? `Licence for ${font.name} declared` : `Licence for ${font.name} taken back`,
                    [
                      {
                        document: IDENTITY,
                        patch: [{ op: 'add', path: pointer('fonts', index, 'declared'), value: event.target.checked }],
                      },
                    ],
                  )
                }
              />{' '}
              We hold a licence for its use on websites
            </label>
          )}
          <button
            type="button"
            className="remove"
            disabled={!canWrite || used.includes(font.id)}
            title={used.includes(font.id) ? 'In use. Choose another typeface first.' : undefined}
            aria-label={`Take out ${font.name}`}
            onClick={() =>
              void change(`${font.name} taken out`, [
                { document: IDENTITY, patch: [{ op: 'remove', path: pointer('fonts', index) }] },
              ])
            }
          >
            ×
          </button>
        </div>
      ))}
      <label className="drop">
        <input
          type="file"
          multiple
          accept=".ttf,.otf,.woff,.woff2,font/*"
          disabled={!canWrite || busy !== ''}
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            if (files.length) void upload('files', files);
          }}
        />
        <span>{busy ? 'Reading the files…' : 'Add font files'}</span>
        <span className="soft">TTF, OTF, WOFF or WOFF2, static or variable</span>
      </label>
      <UploadSaid {...said} />
    </section>
  );
}
