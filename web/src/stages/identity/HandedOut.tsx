import { pointer } from '../../api/client';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { useFiles } from '../../parts/useFiles';
import { counted } from '../../parts/counted';
import { Editable } from '../../parts/Editable';
import { fileLink, fileNote, tooMuch } from '../../parts/files';

/** The files that links lead to: price lists, forms, press material. */
export function HandedOut() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const { busy, problem, setProblem, add } = useFiles();
  const files = brand.identity.body.files ?? [];
  const said = JSON.stringify([brand.frame.body, brand.pages.map((page) => page.body)]);
  const links = (id: string) => said.split(new RegExp(`${fileLink(id)}(?![a-z0-9-])`)).length - 1;
  return (
    <section aria-labelledby="handed-title">
      <h3 id="handed-title" className="identity-head">
        Files to hand out
      </h3>
      <ul className="handed">
        {files.map((file, index) => (
          <li key={file.id}>
            <Editable
              label={`Name of ${file.name}`}
              quietLabel
              disabled={!canWrite}
              value={file.name}
              onSave={(name) => {
                if (name)
                  void change('File named', [
                    {
                      document: IDENTITY,
                      patch: [{ op: 'replace', path: pointer('files', index, 'name'), value: name }],
                    },
                  ]);
              }}
            />
            <span className="soft">
              <a href={`/api/brands/${brand.id}/files-to-hand-out/${file.id}`}>{fileNote(file)}</a> ·{' '}
              {links(file.id) ? counted(links(file.id), 'link') : 'no link yet'}
            </span>
            <button
              type="button"
              className="remove"
              disabled={!canWrite}
              aria-label={`Take out ${file.name}`}
              onClick={() =>
                void change(`File ${file.name} taken out`, [
                  { document: IDENTITY, patch: [{ op: 'remove', path: pointer('files', index) }] },
                ])
              }
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <label className="drop">
        <input
          type="file"
          disabled={!canWrite || busy !== ''}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (!file) return;
            if (tooMuch(file)) setProblem(tooMuch(file));
            else void add(file);
          }}
        />
        <span>{busy ? `Adding ${busy}…` : files.length ? 'Add another file' : 'Add a file'}</span>
        <span className="soft">A price list, a form to print, a calendar: any link can lead to it</span>
      </label>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
