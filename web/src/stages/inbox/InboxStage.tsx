import { useState } from 'react';
import { Link } from 'react-router';
import { csvAddress, useEnquiries, useInboxActions, type Asked } from '../../api/inbox';
import type { EnquiryState } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { Waiting } from '../../parts/Waiting';
import { EnquiryList } from './EnquiryList';
import { OpenEnquiry } from './OpenEnquiry';

const STATES: { id: EnquiryState | ''; name: string }[] = [
  { id: '', name: 'All' },
  { id: 'new', name: 'New' },
  { id: 'read', name: 'Read' },
  { id: 'answered', name: 'Answered' },
];
const AT_ONCE = 50;

/** What visitors sent through the forms of the published site. */
export function InboxStage() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  if (!canWrite)
    return (
      <div className="inbox-closed">
        <h2>Inbox</h2>
        <p>What visitors write is for designers and owners of this workspace. You may look at the design.</p>
      </div>
    );
  return <Inbox brandId={brand.id} />;
}

function Inbox({ brandId }: { brandId: string }) {
  const { brand } = useShown('brand');
  const { say } = useActions();
  const [asked, setAsked] = useState<Asked>({ words: '', state: '', start: 0 });
  const [openId, setOpenId] = useState('');
  const found = useEnquiries(brandId, asked);
  const { mark, keep } = useInboxActions(brandId);
  if (!found.data) return <Waiting error={found.error ?? undefined} retry={() => void found.refetch()} />;
  const { enquiries, counts, days, days_offered: offered } = found.data;
  const all = counts.new + counts.read + counts.answered;
  const open = enquiries.find((one) => one.id === openId);
  const ask = (part: Partial<Asked>) => setAsked({ ...asked, start: 0, ...part });
  const show = (id: string) => {
    setOpenId(id);
    if (enquiries.find((one) => one.id === id)?.state === 'new') mark.mutate({ ids: [id], state: 'read' });
  };
  const forms = brand.pages.some(({ body }) =>
    (body.sections ?? []).some((one) => typeof one.content?.['form'] === 'object' && one.content['form']),
  );
  return (
    <div className="inbox">
      <section className="inbox-list" aria-labelledby="inbox-title">
        <header>
          <h2 id="inbox-title">Inbox</h2>
          <p className="soft">
            {all ? `${counts.new ? `${counts.new} new of ` : ''}${counted(all, 'enquiry', 'enquiries')}` : 'empty'}
          </p>
          <input
            type="search"
            aria-label="Search the inbox"
            placeholder="Search names and words"
            value={asked.words}
            onChange={(event) => ask({ words: event.target.value })}
          />
          <div className="inbox-states" role="group" aria-label="Show">
            {STATES.map((one) => (
              <button
                key={one.id}
                type="button"
                aria-pressed={asked.state === one.id}
                onClick={() => ask({ state: one.id })}
              >
                {one.name} {one.id ? counts[one.id] : all}
              </button>
            ))}
          </div>
        </header>
        {enquiries.length ? (
          <EnquiryList enquiries={enquiries} open={openId} show={show} />
        ) : (
          <Empty searched={!!asked.words || !!asked.state} forms={forms} released={brand.releases.length > 0} />
        )}
        {found.data.found > AT_ONCE && (
          <nav className="inbox-pages" aria-label="More of the inbox">
            <button
              type="button"
              className="quiet-action"
              disabled={!asked.start}
              onClick={() => ask({ start: Math.max(0, asked.start - AT_ONCE) })}
            >
              Newer
            </button>
            <span className="soft">
              {asked.start + 1}–{asked.start + enquiries.length} of {found.data.found}
            </span>
            <button
              type="button"
              className="quiet-action"
              disabled={asked.start + AT_ONCE >= found.data.found}
              onClick={() => ask({ start: asked.start + AT_ONCE })}
            >
              Older
            </button>
          </nav>
        )}
        <footer>
          <label>
            Kept for{' '}
            <select value={days} onChange={(event) => keep.mutate(Number(event.target.value))}>
              {offered.map((one) => (
                <option key={one} value={one}>
                  {one < 365 ? counted(one, 'day') : counted(Math.round(one / 365), 'year')}
                </option>
              ))}
            </select>{' '}
            and then erased
          </label>
          {all > 0 && (
            <a
              className="quiet-action"
              href={csvAddress(brandId, asked)}
              download
              onClick={() =>
                say(`${counted(found.data.found, 'enquiry', 'enquiries')} as a table are being downloaded.`, false)
              }
            >
              Take out as CSV
            </a>
          )}
          {found.data.kept > 0.8 * found.data.most && (
            <p className="bad">
              {found.data.kept} of {found.data.most} are kept. When it is full, forms say that they take nothing.
            </p>
          )}
          {found.data.folder && (
            <p className="soft">No mail server is set up: messages are written to the folder var/mail.</p>
          )}
        </footer>
      </section>
      <section className="inbox-open" aria-label="The enquiry">
        {open ? (
          <OpenEnquiry key={open.id} brandId={brandId} enquiry={open} closed={() => setOpenId('')} />
        ) : (
          <p className="soft">{enquiries.length ? 'Choose an enquiry to read it.' : ''}</p>
        )}
      </section>
    </div>
  );
}

function Empty({ searched, forms, released }: { searched: boolean; forms: boolean; released: boolean }) {
  const { brand } = useShown('brand');
  const at = (stage: string) => `/brands/${brand.id}/${stage}`;
  if (searched) return <p className="inbox-empty">Nothing here says that.</p>;
  if (!forms)
    return (
      <p className="inbox-empty">
        No page has a form yet. <Link to={at('pages')}>Add a section “Contact with form” or “Sign-up”</Link>; what
        visitors write in it comes here.
      </p>
    );
  if (!released)
    return (
      <p className="inbox-empty">
        The site has a form, and is not released yet. <Link to={at('release')}>Release it</Link>; what visitors write
        comes here.
      </p>
    );
  return <p className="inbox-empty">Nobody has written yet. What visitors send through the site’s forms comes here.</p>;
}
