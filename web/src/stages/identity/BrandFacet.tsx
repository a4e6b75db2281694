import { pointer } from '../../api/client';
import { Editable } from '../../parts/Editable';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Colors } from './Colors';
import { Marks } from './Marks';
import { Offers } from './Offers';
import { HandedOut } from './HandedOut';
import { Kept } from './Kept';
import { Material } from './Material';
import { Stated } from './Stated';
import { SiteLanguage } from './SiteLanguage';
import { Typefaces } from './Typefaces';

const CONTACT = [
  { key: 'address', label: 'Address' },
  { key: 'hours', label: 'Hours' },
  { key: 'email', label: 'Email' },
  { key: 'phone', label: 'Telephone' },
] as const;

/** What is settled: the brand's fixed facts, each edited where it stands. */
export function BrandFacet() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const identity = brand.identity.body;
  const set = (label: string, ...path: string[]) => {
    return (value: string) =>
      void change(`${label} changed`, [
        { document: IDENTITY, patch: [{ op: 'replace', path: pointer(...path), value }] },
      ]);
  };
  const common = { disabled: !canWrite };
  const contact = identity.contact;
  return (
    <div className="identity">
      <section className="identity-words" aria-labelledby="identity-words">
        <h2 id="identity-words" className="visually-hidden">
          Who the brand is
        </h2>
        {!identity.colors?.length && (
          <p className="files-hint">
            Does the brand have files? Drop its whole folder anywhere here, or add them under Files.
          </p>
        )}
        <Editable {...common} label="Name" className="is-name" value={identity.name} onSave={set('Name', 'name')} />
        <Stated path="/name" />
        <Editable
          {...common}
          label="Strapline"
          className="is-strapline"
          value={identity.strapline ?? ''}
          placeholder="The line that goes with the name"
          onSave={set('Strapline', 'strapline')}
        />
        <Stated path="/strapline" />
        <Editable
          {...common}
          multiline
          label="What it does"
          value={identity.does ?? ''}
          placeholder="In a sentence or two, as you would tell a neighbour. It becomes the introduction."
          onSave={set('What it does', 'does')}
        />
        <Stated path="/does" />
        <div className="identity-pair">
          <Editable
            {...common}
            multiline
            label="For whom"
            value={identity.audience ?? ''}
            placeholder="The people it is for"
            onSave={set('Audience', 'audience')}
          />
          <div>
            <Editable
              {...common}
              multiline
              label="Where"
              value={identity.place ?? ''}
              placeholder="The place, or leave it empty"
              onSave={set('Place', 'place')}
            />
            <Stated path="/place" />
          </div>
        </div>
        <SiteLanguage />
        <Offers />
        <h3 className="identity-head">How to reach it</h3>
        <div className="identity-pair">
          {CONTACT.map(({ key, label }) => (
            <div key={key}>
              <Editable
                {...common}
                label={label}
                value={contact?.[key] ?? ''}
                placeholder="Not known yet"
                onSave={set(label, 'contact', key)}
              />
              <Stated path={`/contact/${key}`} />
            </div>
          ))}
        </div>
        <HandedOut />
      </section>
      <div className="identity-look">
        <Colors />
        <Typefaces />
        <Marks />
        <Material />
        <Kept />
      </div>
    </div>
  );
}
