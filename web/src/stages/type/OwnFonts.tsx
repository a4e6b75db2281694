import { useState } from 'react';
import { client, pointer, Problem, unwrap } from '../../api/client';
import { useBench } from '../../shell/bench';

/** The brand’s own font files: what their licence bits say, what follows from it, and the way to add more. */
export function OwnFonts() {
  const { brand, change, accept, afterChanges, revision, canWrite } = useBench();
  const identity = brand.identity.body;
  const fonts = identity.fonts ?? [];
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [notes, setNotes] = useState<string[]>([]);
  const upload = async (files: File[]) => {
    setBusy(true);
    setProblem('');
    setNotes([]);
    const form = new FormData();
    files.forEach((file) => form.append('files', file));
    try {
      const answer = await afterChanges(() => {
        form.set('revision', String(revision('identity')));
        return unwrap(
          client.POST('/api/brands/{brand_id}/fonts', {
            params: { path: { brand_id: brand.id } },
            body: form as never,
            bodySerializer: (body: unknown) => body as FormData,
          }),
        );
      });
      accept(answer.workbench);
      setNotes(answer.notes);
    } catch (error) {
      setProblem(error instanceof Problem ? error.message : 'The upload did not work. Try again.');
    } finally {
      setBusy(false);
    }
  };
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
                        document: 'identity',
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
                { document: 'identity', patch: [{ op: 'remove', path: pointer('fonts', index) }] },
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
          disabled={!canWrite || busy}
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            if (files.length) void upload(files);
          }}
        />
        <span>{busy ? 'Reading the files…' : 'Add font files'}</span>
        <span className="soft">TTF, OTF, WOFF or WOFF2, static or variable</span>
      </label>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      {notes.map((note) => (
        <p key={note} className="soft">
          {note}
        </p>
      ))}
    </section>
  );
}
