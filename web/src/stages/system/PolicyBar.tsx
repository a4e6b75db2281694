import type { Choices } from '../../api/client';
import { useBench } from '../../shell/bench';

const POLICIES = ['AA', 'AAA'] as const;
const SCHEMES = [
  { id: 'light', name: 'light' },
  { id: 'dark', name: 'dark' },
  { id: 'both', name: 'both' },
] as const;

/** What the colours are held to, in which scheme pages come, and whether links are underlined. */
export function PolicyBar() {
  const { choices, change, canWrite } = useBench();
  const set = (label: string, path: string, value: unknown) =>
    void change(label, [{ document: 'choices', patch: [{ op: 'add', path, value }] }]);
  return (
    <div className="policy-bar">
      <span role="group" aria-label="Held to">
        {POLICIES.map((policy) => (
          <button
            key={policy}
            type="button"
            className="width-toggle"
            disabled={!canWrite}
            aria-pressed={choices.policy === policy}
            title={policy === 'AA' ? 'Text 4.5:1, WCAG 2.2' : 'Text 7:1, WCAG 2.2'}
            onClick={() => choices.policy !== policy && set(`Held to ${policy}`, '/policy', policy)}
          >
            {policy}
          </button>
        ))}
      </span>
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
