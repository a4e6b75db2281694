import { useState } from 'react';
import { useLibrary, useReach } from '../../api/queries';
import { useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { PinEditor } from './PinEditor';
import { standsOn } from './roles';
import { counted } from '../../parts/counted';

const FILTERS = ['exact', 'chosen', 'pinned', 'derived', 'unused'];

/** Every value with its origin, uses and reason; a click copies it. Any of them can be pinned, and all taken out. */
export function ValuesFacet() {
  const { brand, system, token, look } = useShown('brand', 'system', 'token', 'look');
  const library = useLibrary();
  const reach = useReach(brand.id, stampOf(brand));
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState('');
  const [copied, setCopied] = useState('');
  const [open, setOpen] = useState('');
  const second = look.scheme !== system.schemes[0];
  const uses = (path: string) => (reach.data?.uses[path] ?? []).reduce((sum, use) => sum + use.count, 0);
  const tokens = system.tokens.map((one) => token(one.path) ?? one);
  const found = tokens.filter(
    (one) =>
      (!filter || (filter === 'unused' ? reach.data && !uses(one.path) : one.origin === filter)) &&
      (!search || `${one.path} ${one.css} ${one.reason}`.toLowerCase().includes(search.toLowerCase())),
  );
  const copy = async (path: string, css: string) => {
    await navigator.clipboard.writeText(css);
    setCopied(path);
  };
  const pinnable = (path: string) => !path.startsWith('brand/') && !path.endsWith('/family');
  return (
    <div className="values-facet">
      <p className="values-out">
        <span className="soft">Take them out:</span>
        {library.data?.system_forms.map((form) => (
          <a key={form.id} href={`/api/brands/${brand.id}/system/${form.id}`} download>
            {form.label}
          </a>
        ))}
      </p>
      <div className="values-search">
        <label htmlFor="values-search" className="visually-hidden">
          Search the values
        </label>
        <input
          id="values-search"
          type="search"
          placeholder="Search, for example paper/link or 4.5"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {FILTERS.map((one) => (
          <button
            key={one}
            type="button"
            className="width-toggle"
            aria-pressed={filter === one}
            onClick={() => setFilter(filter === one ? '' : one)}
          >
            {one}
          </button>
        ))}
        <span className="soft" role="status">
          {copied ? `${copied} copied` : `${found.length} of ${tokens.length}`}
        </span>
      </div>
      <table className="values">
        <tbody>
          {found.map((one) => (
            <tr key={one.path}>
              <th scope="row">
                {pinnable(one.path) ? (
                  <button
                    type="button"
                    aria-expanded={open === one.path}
                    title="Pin or release it"
                    onClick={() => setOpen(open === one.path ? '' : one.path)}
                  >
                    {one.path}
                  </button>
                ) : (
                  one.path
                )}
              </th>
              <td>
                <button type="button" className="mono" title="Copy" onClick={() => void copy(one.path, one.css)}>
                  {one.type === 'color' && <i style={{ background: one.css }} />}
                  {one.css}
                </button>
                {one.wide && (
                  <button
                    type="button"
                    className="mono"
                    title="Copy"
                    onClick={() => void copy(one.path, one.wide ?? '')}
                  >
                    {one.wide}
                  </button>
                )}
              </td>
              <td>
                <span className={`origin origin-${one.origin}`}>{one.origin}</span>
                <small className="soft">{uses(one.path) ? `${counted(uses(one.path), 'use')}` : 'not used'}</small>
              </td>
              <td className="soft">
                {one.reason}
                {open === one.path && (
                  <div>
                    <PinEditor
                      path={second && one.type === 'color' ? `dark:${one.path}` : one.path}
                      css={pinForm(one.value, one.css)}
                      name={one.path}
                      on={one.type === 'color' ? standsOn(one.path, system, look.scheme) : undefined}
                    />
                  </div>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!found.length && <p className="empty-line">No value matches. Search for less.</p>}
    </div>
  );
}

/** A value in the form that a pin takes: a fluid size by its two ends. */
function pinForm(value: unknown, css: string): string {
  if (typeof value === 'object' && value !== null && 'small' in value && 'large' in value)
    return value.small === value.large ? `${value.small}px` : `${value.small}px ${value.large}px`;
  return css;
}
