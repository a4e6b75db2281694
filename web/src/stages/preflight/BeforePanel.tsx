import type { Preflight } from '../../api/client';
import { useBefore } from '../../api/preflight';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { FAMILIES, familyOf, stops } from './findings';

/** The site that the brand has had, by the same rules: what it has beside what there is now, and what was found on it. */
export function BeforePanel({ data }: { data: Preflight }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { report } = useActions();
  const { told, start, stop } = useBefore(brand.id);
  const before = told.data;
  if (!before)
    return <p className="before soft">{told.isError ? told.error.message : 'Looking for pages among the files…'}</p>;
  const { total, done, waiting, failed } = before.measuring;
  if (!total)
    return (
      <div className="before empty">
        <h2>No old site</h2>
        <p>
          Add the pages of the site that the brand has had, with their style sheets and pictures, to its files in
          Identity. They are then checked by the same rules, as the “before”.
        </p>
      </div>
    );
  const held = new Set(data.rules.filter((one) => one.severity !== 'off').map((one) => familyOf(one.id)));
  const families = [...held].filter((name) => before.findings.some((one) => familyOf(one.rule) === name));
  const count = (findings: Preflight['findings'], name: string, stop: boolean) =>
    findings.filter((one) => (!name || familyOf(one.rule) === name) && stops(one) === stop && !one.waived).length;
  return (
    <div className="before">
      <p>
        {counted(total, 'page')} of the old site among the files, {done} seen in the browser.
      </p>
      {waiting > 0 && <progress max={total} value={done} aria-label="Old pages seen" />}
      {canWrite &&
        (waiting > 0 ? (
          <button type="button" className="quiet-action" onClick={() => stop.mutate(undefined, { onError: report })}>
            Cancel
          </button>
        ) : (
          done < total && (
            <button
              type="button"
              className="quiet-action"
              disabled={start.isPending}
              onClick={() => start.mutate(undefined, { onError: report })}
            >
              Look at the old site
            </button>
          )
        ))}
      {failed.map((one) => (
        <p key={one.page} className="problem">
          {one.problem}
        </p>
      ))}
      {done > 0 && (
        <>
          <table>
            <thead>
              <tr>
                <th scope="col">Stops and notes</th>
                <th scope="col">Before</th>
                <th scope="col">Now</th>
              </tr>
            </thead>
            <tbody>
              {['', ...families].map((name) => (
                <tr key={name}>
                  <th scope="row">{name ? FAMILIES[name] : 'All'}</th>
                  <td>
                    {count(before.findings, name, true)} · {count(before.findings, name, false)}
                  </td>
                  <td>
                    {count(data.findings, name, true)} · {count(data.findings, name, false)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <ul>
            {before.findings.map((one) => (
              <li key={`${one.page} ${one.key}`}>
                <span className={stops(one) ? 'mark-stop' : 'mark-note'} aria-hidden="true" />
                <span className="visually-hidden">{stops(one) ? 'Stop: ' : 'Note: '}</span>
                {one.message}
                <small className="soft">
                  {[one.page || 'the whole site', one.width && `${one.width} px`].filter(Boolean).join(' · ')}
                </small>
              </li>
            ))}
          </ul>
          {before.found > before.findings.length && (
            <p className="soft">and {counted(before.found - before.findings.length, 'finding')} more.</p>
          )}
        </>
      )}
    </div>
  );
}
