import { pointer } from '../../api/client';
import { useLibrary } from '../../api/queries';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Rules } from './Rules';

/** What else was taken from the brand’s files, and the ways to take the identity out again. */
export function Kept() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const identity = brand.identity.body;
  const rules = identity.rules ?? [];
  const measures = identity.measures ?? [];
  const faces = identity.faces ?? [];
  const remove = (list: 'measures' | 'faces', index: number, label: string) => (
    <button
      type="button"
      className="remove"
      disabled={!canWrite}
      aria-label={`Take out ${label}`}
      onClick={() =>
        void change(`${label.slice(0, 60)} taken out`, [
          { document: IDENTITY, patch: [{ op: 'remove', path: pointer(list, index) }] },
        ])
      }
    >
      ×
    </button>
  );
  return (
    <>
      {rules.length + measures.length + faces.length > 0 && (
        <section aria-labelledby="kept-title">
          <h2 id="kept-title" className="identity-head">
            Kept from the brand’s files
          </h2>
          <ul className="kept">
            {faces.map((face, index) => (
              <li key={face.family}>
                <span className="soft">{face.role}</span>
                <span>{face.family}</span>
                {remove('faces', index, face.family)}
              </li>
            ))}
            <Rules />
            {measures.map((one, index) => (
              <li key={`${one.measure} ${one.px}`}>
                <span className="soft">{one.measure}</span>
                <span>{one.px} px</span>
                {remove('measures', index, `${one.measure} ${one.px} px`)}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-labelledby="out-title">
        <h2 id="out-title" className="identity-head">
          Take the identity out
        </h2>
        <p className="take-out">
          {library.data?.forms.map((form) => (
            <a key={form.id} className="quiet-action" href={`/api/brands/${brand.id}/identity/${form.id}`} download>
              {form.label}
            </a>
          ))}
        </p>
      </section>
    </>
  );
}
