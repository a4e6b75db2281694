import { useEffect, useRef, useState } from 'react';
import { useLibrary, useType } from '../../api/queries';
import { Toggles } from '../../parts/Toggles';
import { useActions, useShown } from '../../bench/useBench';
import { IDENTITY, stampOf } from '../../bench/documents';
import { CATEGORIES, familiesOf, found, inWords, MEASURES, type Family } from './families';
import { OwnFonts } from './OwnFonts';

export type Role = 'heading' | 'body' | 'third';
const ROLES: { id: Role; name: string }[] = [
  { id: 'heading', name: 'Headings' },
  { id: 'body', name: 'Running text' },
  { id: 'third', name: 'Labels' },
];

/** All families with what was measured on them, drawn with the brand’s own words; one is chosen for a role. */
export function LibraryView() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const type = useType(brand.id, stampOf(brand));
  const without = new Map(type.data?.without.map((one) => [one.family, one.characters]));
  const identity = brand.identity.body;
  const [role, setRole] = useState<Role>('heading');
  const [search, setSearch] = useState('');
  const [category, setCategory] = useState('');
  const [measures, setMeasures] = useState<string[]>([]);
  const chosen = identity.typefaces?.[role] ?? '';
  const families = familiesOf(library.data, identity.fonts);
  const shown = found(families, search, category, measures);
  const name = ROLES.find((one) => one.id === role)?.name.toLowerCase() ?? '';
  const words =
    role === 'heading'
      ? identity.strapline || identity.name
      : role === 'third'
        ? `${identity.name} · 19.30 · £12`
        : identity.does || 'What the brand does, in its own words.';
  const choose = (id: string, label: string) =>
    void change(`${label} for ${name}`, [
      { document: IDENTITY, patch: [{ op: 'add', path: `/typefaces/${role}`, value: id }] },
    ]);
  const toggle = (id: string) =>
    setMeasures(measures.includes(id) ? measures.filter((one) => one !== id) : [...measures, id]);
  return (
    <div className="library">
      <div className="library-filters">
        <Toggles label="For" options={ROLES} shown={role} show={setRole} />
        <input
          type="search"
          aria-label="Search typefaces"
          placeholder="Search by name"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <span className="filters" role="group" aria-label="Kind">
          {CATEGORIES.map((one) => (
            <button
              key={one.id}
              type="button"
              className="filter"
              aria-pressed={category === one.id}
              onClick={() => setCategory(category === one.id ? '' : one.id)}
            >
              {one.name}
            </button>
          ))}
        </span>
        <span className="filters" role="group" aria-label="Measured character">
          {MEASURES.map((one) => (
            <button
              key={one.id}
              type="button"
              className="filter"
              aria-pressed={measures.includes(one.id)}
              onClick={() => toggle(one.id)}
            >
              {one.name}
            </button>
          ))}
        </span>
        <span className="soft mono" role="status">
          {shown.length} of {families.length}
        </span>
      </div>
      <fieldset className="library-list" disabled={!canWrite}>
        <legend className="visually-hidden">Typeface for {name}</legend>
        {role === 'third' && (
          <label className="specimen">
            <input type="radio" name="typeface" checked={!chosen} onChange={() => choose('', 'The body typeface')} />
            <span>As running text</span>
          </label>
        )}
        {shown.map((family) => (
          <FamilyRow
            key={family.id}
            {...{ family, words, role, choose }}
            chosen={chosen === family.id}
            lacks={[...(without.get(family.id) ?? '')].filter((one) => words.includes(one)).join('')}
          />
        ))}
        {!shown.length && (
          <p className="empty">
            No typeface has all of that.{' '}
            <button
              type="button"
              className="quiet-action"
              onClick={() => {
                setSearch('');
                setCategory('');
                setMeasures([]);
              }}
            >
              Show all {families.length}
            </button>
          </p>
        )}
      </fieldset>
      <OwnFonts />
    </div>
  );
}

type FamilyRowProps = {
  family: Family;
  words: string;
  role: Role;
  chosen: boolean;
  /** Letters of the words that it does not have; they are drawn in another font. */
  lacks: string;
  choose: (id: string, name: string) => void;
};

function FamilyRow({ family, words, role, chosen, lacks, choose }: FamilyRowProps) {
  const row = useRef<HTMLLabelElement>(null);
  // The one in use is in sight when the list opens for a role.
  useEffect(() => {
    const list = row.current?.parentElement;
    if (chosen && row.current && list) list.scrollTop = row.current.offsetTop - list.offsetTop - 60;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [role]);
  const barred = family.own?.restricted && !family.own.declared;
  return (
    <label ref={row} className={`specimen is-${role}`} title={family.licence}>
      <input
        type="radio"
        name="typeface"
        value={family.id}
        aria-label={family.name}
        checked={chosen}
        disabled={barred}
        onChange={() => choose(family.id, family.name)}
      />
      <span className="specimen-words" style={{ fontFamily: `"${family.name}"` }}>
        {words}
      </span>
      <span className="specimen-name">
        <b>{family.name}</b> {family.own && <span className="tag">own</span>}
        {lacks && (
          <span className="specimen-lacks" title="What it lacks is drawn in another font here, as on pages">
            lacks {lacks.length > 12 ? `${lacks.slice(0, 12)}…` : lacks}
          </span>
        )}
        <span className="soft mono">{barred ? 'needs a licence, see below' : inWords(family)}</span>
      </span>
    </label>
  );
}
