import { useLibrary } from '../../api/queries';
import { useBench } from '../../shell/bench';

/** Heading and body typeface, chosen on the brand's own words. */
export function Typefaces() {
  const { brand, change, canWrite } = useBench();
  const library = useLibrary();
  const identity = brand.identity.body;
  const choose = (role: 'heading' | 'body', id: string, name: string) =>
    void change(`${name} for ${role === 'heading' ? 'headings' : 'running text'}`, [
      { document: 'identity', patch: [{ op: 'replace', path: `/typefaces/${role}`, value: id }] },
    ]);
  const words = {
    heading: identity.strapline || identity.name,
    body: identity.does || 'What the brand does, in its own words, as visitors will read it.',
  };
  return (
    <section aria-labelledby="typefaces-title">
      <h2 id="typefaces-title" className="identity-head">
        Typefaces
      </h2>
      {(['heading', 'body'] as const).map((role) => (
        <fieldset key={role} className={`specimens is-${role}`} disabled={!canWrite}>
          <legend>{role === 'heading' ? 'Headings' : 'Running text'}</legend>
          {library.data?.families.map((family) => (
            <label key={family.id} className="specimen">
              <input
                type="radio"
                name={`typeface-${role}`}
                value={family.id}
                checked={identity.typefaces?.[role] === family.id}
                onChange={() => choose(role, family.id, family.name)}
              />
              <span className="specimen-words" style={{ fontFamily: `"${family.name}"` }}>
                {words[role]}
              </span>
              <span className="soft">
                {family.name} · {family.category === 'serif' ? 'serif' : 'sans'}
              </span>
            </label>
          ))}
        </fieldset>
      ))}
    </section>
  );
}
