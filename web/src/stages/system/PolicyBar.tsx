import { useState } from 'react';
import type { Choices } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

const POLICIES = [
  { id: 'AA', about: 'Text 4.5:1, large text 3:1 (WCAG 2.2)' },
  { id: 'AAA', about: 'Text 7:1, large text 4.5:1 (WCAG 2.2)' },
  { id: 'own', about: 'Ratios of your own, from those of AA upwards' },
] as const;
const OWN = [
  { key: 'text', label: 'Text', least: 4.5, most: 12, usual: 5.5 },
  { key: 'large', label: 'Large', least: 3, most: 4.5, usual: 4 },
  { key: 'boundary', label: 'Boundaries', least: 3, most: 4.5, usual: 3 },
] as const;
const SCHEMES = [
  { id: 'light', name: 'light' },
  { id: 'dark', name: 'dark' },
  { id: 'both', name: 'both' },
] as const;

/** What the colours are held to, in which scheme pages come, and whether links are underlined. */
export function PolicyBar() {
  const { choices, canWrite } = useShown('choices', 'canWrite');
  const { change } = useActions();
  const set = (label: string, path: string, value: unknown) =>
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path, value }] }]);
  return (
    <div className="policy-bar">
      <span role="group" aria-label="Held to">
        {POLICIES.map(({ id, about }) => (
          <button
            key={id}
            type="button"
            className="width-toggle"
            disabled={!canWrite}
            aria-pressed={choices.policy === id}
            title={about}
            onClick={() => choices.policy !== id && set(`Held to ${id === 'own' ? 'own ratios' : id}`, '/policy', id)}
          >
            {id}
          </button>
        ))}
      </span>
      {choices.policy === 'own' && (
        <span className="own-ratios" role="group" aria-label="Ratios of your own">
          {OWN.map((one) => (
            <Ratio
              key={one.key}
              label={one.label}
              least={one.least}
              most={one.most}
              value={choices.thresholds?.[one.key] ?? one.usual}
              disabled={!canWrite}
              onSave={(value) =>
                set(`${one.label} held to ${value}:1`, '/thresholds', {
                  ...Object.fromEntries(OWN.map(({ key, usual }) => [key, choices.thresholds?.[key] ?? usual])),
                  [one.key]: value,
                })
              }
            />
          ))}
        </span>
      )}
      <label>
        Pages{' '}
        <select
          value={choices.scheme}
          disabled={!canWrite}
          onChange={(event) => {
            const found = SCHEMES.find((one) => one.id === event.target.value);
            if (found) set(`Pages ${found.id === 'both' ? 'as the visitor has it' : found.name}`, '/scheme', found.id);
          }}
        >
          {SCHEMES.map((scheme) => (
            <option key={scheme.id} value={scheme.id}>
              {scheme.name}
            </option>
          ))}
        </select>
      </label>
      <label>
        <input
          type="checkbox"
          checked={underlined(choices)}
          disabled={!canWrite}
          onChange={(event) =>
            set(
              event.target.checked ? 'Links underlined' : 'Links without underline',
              '/links/underlined',
              event.target.checked,
            )
          }
        />{' '}
        links underlined
      </label>
    </div>
  );
}

function underlined(choices: Choices): boolean {
  return choices.links?.underlined ?? true;
}

type RatioProps = {
  label: string;
  least: number;
  most: number;
  value: number;
  disabled: boolean;
  onSave: (value: number) => void;
};

/** A ratio within its bounds: what is written is stored on Enter or when the field is left. */
function Ratio({ label, least, most, value, disabled, onSave }: RatioProps) {
  const [written, setWritten] = useState<string | null>(null);
  const save = () => {
    const wanted = Number((written ?? '').replace(',', '.'));
    const within = Math.round(Math.min(most, Math.max(least, wanted)) * 100) / 100;
    if (written !== null && wanted && within !== value) onSave(within);
    setWritten(null);
  };
  return (
    <label title={`From ${least} to ${most}`}>
      {label}
      <input
        type="text"
        inputMode="decimal"
        className="mono"
        size={4}
        disabled={disabled}
        value={written ?? String(value)}
        onChange={(event) => setWritten(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save();
          if (event.key === 'Escape') setWritten(null);
        }}
      />
    </label>
  );
}
