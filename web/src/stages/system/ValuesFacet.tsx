import { useState } from 'react';
import { useBench } from '../../shell/bench';

const ORIGINS = ['exact', 'chosen', 'derived'];

/** Every value with its origin and reason; a click copies it. */
export function ValuesFacet() {
  const { system } = useBench();
  const [search, setSearch] = useState('');
  const [origin, setOrigin] = useState('');
  const [copied, setCopied] = useState('');
  const found = system.tokens.filter(
    (token) =>
      (!origin || token.origin === origin) &&
      (!search || `${token.path} ${token.css} ${token.reason}`.toLowerCase().includes(search.toLowerCase())),
  );
  const copy = async (path: string, css: string) => {
    await navigator.clipboard.writeText(css);
    setCopied(path);
  };
  return (
    <div className="values-facet">
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
        {ORIGINS.map((one) => (
          <button
            key={one}
            type="button"
            className="width-toggle"
            aria-pressed={origin === one}
            onClick={() => setOrigin(origin === one ? '' : one)}
          >
            {one}
          </button>
        ))}
        <span className="soft" role="status">
          {copied ? `${copied} copied` : `${found.length} of ${system.tokens.length}`}
        </span>
      </div>
      <table className="values">
        <tbody>
          {found.map((token) => (
            <tr key={token.path}>
              <th scope="row">{token.path}</th>
              <td>
                <button type="button" className="mono" title="Copy" onClick={() => void copy(token.path, token.css)}>
                  {token.type === 'color' && <i style={{ background: token.css }} />}
                  {token.css}
                </button>
              </td>
              <td>
                <span className={`origin origin-${token.origin}`}>{token.origin}</span>
              </td>
              <td className="soft">{token.reason}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {!found.length && <p className="empty-line">No value matches. Search for less.</p>}
    </div>
  );
}
