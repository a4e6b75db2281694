import { useLibrary } from '../../../api/queries';
import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';

/** The kind of organisation: it brings questions and usual pages, and fills in no fact. */
export function Organisations() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const chosen = brand.identity.body.organisation ?? '';
  return (
    <fieldset className="organisations" disabled={!canWrite}>
      <legend className="identity-head">Kind of organisation</legend>
      {library.data?.organisations.map((one) => (
        <label key={one.id}>
          <input
            type="radio"
            name="organisation"
            checked={chosen === one.id}
            onChange={() =>
              void change(one.name, [
                { document: IDENTITY, patch: [{ op: 'replace', path: '/organisation', value: one.id }] },
              ])
            }
          />
          <span>
            <b>{one.name}</b>
            <span className="soft">{one.about}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
