import { useState } from 'react';
import { useReach } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { percent, useShares } from '../../sheet/useShares';
import { counted } from '../../parts/counted';

/** Tokens that every text and link has alike come last. */
const aside = (path: string) => /\/(selection|selection-ink|focus|focus-inner)$/.test(path);

/** Where every colour is used: by page and section; what nothing uses is listed as such. */
export function ReachView() {
  const { brand, system, token } = useShown('brand', 'system', 'token');
  const { light } = useActions();
  const reach = useReach(brand.id, stampOf(brand));
  const shares = useShares();
  const [open, setOpen] = useState('');
  const [all, setAll] = useState(false);
  if (!reach.data) return <p className="empty-line">Counting…</p>;
  const uses = reach.data.uses;
  const colors = system.tokens.filter((one) => one.type === 'color');
  const tokens = colors.map((one) => ({
    path: one.path,
    count: (uses[one.path] ?? []).reduce((sum, use) => sum + use.count, 0),
  }));
  const used = tokens
    .filter((one) => one.count > 0)
    .sort((a, b) => Number(aside(a.path)) - Number(aside(b.path)) || b.count - a.count);
  const unused = tokens.filter((one) => one.count === 0);
  const pages = new Map(brand.pages.map((page) => [page.body.id, page.body.name]));
  const show = (path: string) => {
    setOpen(open === path ? '' : path);
    const [, ground, ...rest] = path.split('/');
    if (path.startsWith('ground/') && ground) {
      const ink = rest.join('/');
      light(open === path ? null : { ground, ink: ink === 'text/label/rest' ? 'link' : ink });
    }
  };
  return (
    <div className="reach-view">
      <ul className="reach-list">
        {used.map(({ path, count }) => {
          const own = uses[path] ?? [];
          const on = new Set(own.map((use) => use.page)).size;
          return (
            <li key={path}>
              <button type="button" aria-expanded={open === path} onClick={() => show(path)}>
                <i style={{ background: token(path)?.css }} />
                <b>{path}</b>
                <span className="mono">{token(path)?.css}</span>
                <span className="soft">
                  {counted(count, 'use')}, {counted(own.length, 'section')} on {counted(on, 'page')}
                  {shares?.[path] !== undefined && `, ${percent(shares[path])}`}
                </span>
              </button>
              {open === path && (
                <ul className="reach-places">
                  {own.map((use) => (
                    <li key={`${use.page} ${use.section}`}>
                      {pages.get(use.page)} · {use.section} <span className="soft">{use.count}</span>
                    </li>
                  ))}
                </ul>
              )}
            </li>
          );
        })}
      </ul>
      <h2>
        {unused.length} {unused.length === 1 ? 'colour is' : 'colours are'} used nowhere yet
      </h2>
      <p className="soft">
        They are solved already, for the states, fields and grounds that pages may come to use.{' '}
        <button type="button" className="link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Hide them' : 'List them'}
        </button>
      </p>
      {all && (
        <ul className="reach-unused">
          {unused.map(({ path }) => (
            <li key={path}>
              <i style={{ background: token(path)?.css }} /> {path}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
