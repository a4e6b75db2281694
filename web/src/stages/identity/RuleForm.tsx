import { useId, useState } from 'react';
import { useLibrary } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { ASKS, isWhole, type Asks, type Rule, type Values } from './asked';

export type RuleFormProps = { rule: Rule; onSave: (asks: Asks, values: Values) => void; onCancel: () => void };

const words = (text: string) =>
  text
    .split(/[,;\n]/)
    .map((one) => one.trim())
    .filter(Boolean);

/** What a sentence of the guideline asks, said by a person: from then on it is held. */
export function RuleForm({ rule, onSave, onCancel }: RuleFormProps) {
  const { brand } = useShown('brand');
  const library = useLibrary();
  const id = useId();
  const [asks, setAsks] = useState<Asks>(rule.rule === 'as said' ? 'not used' : rule.rule);
  const [values, setValues] = useState<Values>(rule.rule === 'as said' ? {} : (rule.values ?? {}));
  const set = (some: Values) => setValues({ ...values, ...some });
  const colors = brand.identity.body.colors ?? [];
  const what = Array.isArray(values.what) ? values.what : [];
  const field = (name: string) => `${id}-${name}`;
  const color = (key: 'ink' | 'ground', name: string) => (
    <label htmlFor={field(key)}>
      {name}
      <select
        id={field(key)}
        value={String(values[key] ?? '')}
        onChange={(event) => set({ [key]: event.target.value })}
      >
        <option value="">a colour</option>
        {colors.map((one) => (
          <option key={one.id} value={one.name}>
            {one.name}
          </option>
        ))}
      </select>
    </label>
  );
  const number = (key: string, name: string, unit: string, scale = 1) => (
    <label htmlFor={field(key)}>
      {name}
      <input
        id={field(key)}
        type="number"
        min={1}
        value={values[key] === undefined ? '' : Math.round(Number(values[key]) * scale)}
        onChange={(event) => set({ [key]: Number(event.target.value) / scale })}
      />
      {unit}
    </label>
  );
  const said = asks === 'words to avoid' || asks === 'words to use';
  return (
    <form
      className="rule-form"
      aria-label={`What “${rule.text}” asks`}
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole(asks, values)) onSave(asks, values);
      }}
      onKeyDown={(event) => event.key === 'Escape' && onCancel()}
    >
      <label htmlFor={field('asks')}>
        It asks that
        <select
          id={field('asks')}
          autoFocus
          value={asks}
          onChange={(event) => {
            setAsks(event.target.value as Asks);
            setValues({});
          }}
        >
          {ASKS.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      {asks === 'not used' && (
        <fieldset>
          <legend className="visually-hidden">What is never used</legend>
          {library.data?.ruled_out.map((one) => (
            <label key={one} className="switch">
              <input
                type="checkbox"
                checked={what.includes(one)}
                onChange={(event) =>
                  set({ what: event.target.checked ? [...what, one] : what.filter((o) => o !== one) })
                }
              />
              {one}
            </label>
          ))}
        </fieldset>
      )}
      {(asks === 'forbidden pair' || asks === 'wanted pair') && (
        <>
          {color('ink', 'Words in')}
          {color('ground', 'on')}
        </>
      )}
      {said && (
        <label htmlFor={field('words')} className="rule-words">
          The words, with commas between them
          <input
            id={field('words')}
            defaultValue={Array.isArray(values.words) ? values.words.join(', ') : ''}
            onChange={(event) => set({ words: words(event.target.value) })}
          />
        </label>
      )}
      {asks === 'least size' && (
        <>
          <label htmlFor={field('mark')}>
            What
            <select
              id={field('mark')}
              value={String(values.mark ?? 'full')}
              onChange={(event) => set({ mark: event.target.value })}
            >
              <option value="full">whole mark</option>
              <option value="symbol">symbol</option>
            </select>
          </label>
          {number('px', 'is at least', 'px wide')}
        </>
      )}
      {asks === 'clear space' && number('share', 'It is', '% of the mark’s height', 100)}
      <div className="rule-actions">
        <button type="submit" className="main-action" disabled={!isWhole(asks, values)}>
          Hold it
        </button>
        <button type="button" className="quiet-action" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
