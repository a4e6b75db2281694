import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { client, unwrap } from '../../api/client';
import { useMeasure, useMeasuring, usePreflight, useStops } from '../../api/preflight';
import { Editable } from '../../parts/Editable';
import { PageFrame } from '../../sheet/PageFrame';
import { FRAME, stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Stage 5: publishing, and every release so far. */
export function ReleaseStage() {
  const { brand, system, canWrite } = useShown('brand', 'system', 'canWrite');
  const { write, change, report, say } = useActions();
  const [busy, setBusy] = useState(false);
  const number = (brand.releases[0]?.number ?? 0) + 1;
  const live = brand.releases.find((release) => release.live);
  const stamp = stampOf(brand);
  const measuring = useMeasuring(brand.id, stamp);
  const found = usePreflight(brand.id, stamp);
  const stops = useStops(brand.id, stamp, system.counts['stop'] ?? 0);
  const { start, stop } = useMeasure(brand.id, stamp);
  // A release that waits for the browser is made once that has seen every page as it is now.
  const [waitsFor, setWaitsFor] = useState('');
  const told = measuring.data;
  const seen = told !== undefined && told.done === told.total;
  const waits = waitsFor === stamp && told !== undefined && !seen && told.waiting > 0;
  const publish = async () => {
    // The button keeps the focus while it works, so it is not disabled.
    if (busy || waits) return;
    setBusy(true);
    try {
      if (told?.awaited && !seen) {
        await start.mutateAsync();
        setWaitsFor(stamp);
        return;
      }
      const path = { params: { path: { brand_id: brand.id } } };
      await write(
        (headers) => unwrap(client.POST('/api/brands/{brand_id}/releases', { ...path, headers })),
        (answer) => answer,
      );
    } catch (error) {
      report(error);
    } finally {
      setBusy(false);
    }
  };
  const publishing = useRef(publish);
  useEffect(() => {
    publishing.current = publish;
  });
  const followed = useRef('');
  useEffect(() => {
    if (waitsFor !== stamp || !seen || followed.current === stamp) return;
    followed.current = stamp; // once
    void publishing.current();
  }, [waitsFor, stamp, seen]);
  return (
    <div className="release">
      <section className="release-gate" aria-labelledby="release-title">
        <h2 id="release-title">
          {stops
            ? 'Held back by preflight'
            : live && !brand.changed_since_release
              ? `r${live.number} is live`
              : `Ready for r${number}`}
        </h2>
        {stops ? (
          <>
            <p>
              {stops} {stops === 1 ? 'finding stops' : 'findings stop'} the release. Each comes with a fix.
            </p>
            <Link className="main-action" to={`/brands/${brand.id}/preflight`}>
              See what stops it
            </Link>
          </>
        ) : (
          <>
            <p>
              {live && !brand.changed_since_release
                ? 'Nothing has changed since. Publishing again makes the same site a new release.'
                : `All ${found.data?.counts['pass'] ?? system.counts['pass']} checks pass. The release replaces the site at its address at once, whole or not at all.`}
            </p>
            <button
              type="button"
              className="main-action"
              disabled={!canWrite}
              aria-disabled={busy || waits}
              onClick={() => void publish()}
            >
              {busy ? 'Publishing…' : waits ? 'Looking at the pages first…' : `Release r${number}`}
            </button>
            {waits && (
              <div className="release-waits">
                <progress max={told.total} value={told.done} aria-label="Pages seen in the browser" />
                <span className="soft" role="status">
                  A browser has seen {told.done} of {told.total}. The release follows by itself.
                </span>
                <button
                  type="button"
                  className="quiet-action"
                  onClick={() => stop.mutate(undefined, { onSuccess: () => setWaitsFor(''), onError: report })}
                >
                  Cancel
                </button>
              </div>
            )}
            {waitsFor === stamp && !waits && !seen && told && told.failed.length > 0 && (
              <p role="alert" className="problem">
                {told.failed.length === 1 ? 'One page' : `${told.failed.length} pages`} could not be looked at:{' '}
                {told.failed[0]?.problem} Look at them in preflight, or let releases go without it there, under Rules.
              </p>
            )}
          </>
        )}
        {live && (
          <dl>
            <dt>Address</dt>
            <dd>
              <a href={brand.address} target="_blank" rel="noreferrer">
                {brand.address}
              </a>
            </dd>
            <dt>State</dt>
            <dd>Public to everybody who reaches this machine, until the next release takes its place.</dd>
          </dl>
        )}
        <Editable
          label="Where the site will stand"
          value={brand.frame.body.address ?? ''}
          placeholder="https://www.example.org/"
          disabled={!canWrite}
          onSave={(value) =>
            void change('Address of the site', [{ document: FRAME, patch: [{ op: 'add', path: '/address', value }] }])
          }
        />
        <p className="soft">
          {brand.frame.body.address
            ? 'Search engines read it on every page, and pictures for links are found under it.'
            : 'Without it places that show links find no picture: they need its whole address.'}
        </p>
        <Editable
          label="What takes its forms there"
          value={brand.frame.body.forms_at ?? ''}
          placeholder="this host, which sends them on and keeps them in the inbox"
          disabled={!canWrite}
          onSave={(value) =>
            void change('What takes forms', [{ document: FRAME, patch: [{ op: 'add', path: '/forms_at', value }] }])
          }
        />
        <h3>Releases</h3>
        {brand.releases.length === 0 && <p className="soft">None yet. The first one puts the site at its address.</p>}
        <table className="releases">
          {brand.releases.length > 0 && (
            <thead>
              <tr>
                <th scope="col">Release</th>
                <th scope="col">Published</th>
                <th scope="col">By</th>
                <th scope="col">Checks passed</th>
                <th scope="col">Seen in the browser</th>
                <th scope="col">Files</th>
                <td />
              </tr>
            </thead>
          )}
          <tbody>
            {brand.releases.map((release) => (
              <tr key={release.number}>
                <th scope="row">
                  r{release.number} {release.live && <span className="live">live</span>}
                </th>
                <td>{when.format(new Date(release.created))}</td>
                <td>{release.author}</td>
                <td className="mono">{release.passed}</td>
                <td>
                  {release.measured ? 'yes' : 'no'}
                  {release.waived > 0 && <span className="soft">, {release.waived} waived</span>}
                </td>
                <td className="mono">{release.files}</td>
                <td>
                  <a
                    href={`/api/brands/${brand.id}/releases/${release.number}/zip`}
                    download
                    onClick={() => say(`r${release.number} is being downloaded.`, false)}
                  >
                    Download ZIP
                  </a>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="release-view">
        <p className="soft">What the release will show, as of now</p>
        <div className="release-pages">
          <PageFrame pageId={brand.pages[0]?.body.id ?? ''} width={1280} shown={460} />
          <PageFrame pageId={brand.pages[0]?.body.id ?? ''} width={360} shown={150} />
        </div>
      </div>
    </div>
  );
}
