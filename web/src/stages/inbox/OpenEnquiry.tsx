import { useState } from 'react';
import type { Enquiry } from '../../api/client';
import { useInboxActions } from '../../api/inbox';
import { useActions } from '../../bench/useBench';
import { AskDialog } from '../../parts/AskDialog';
import { counted } from '../../parts/counted';

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeStyle: 'short' });
const MOST_QUOTED = 1200; // characters; longer addresses are cut off by some mail programs

/** A mail to who wrote it, with what was written underneath (RFC 6068). */
export function answerTo(enquiry: Enquiry): string {
  const message = enquiry.answers.find((one) => one.kind === 'message')?.value ?? '';
  const cut = message.length > MOST_QUOTED ? `${message.slice(0, MOST_QUOTED)}…` : message;
  const quoted = cut ? `\r\n\r\n${cut.replace(/^/gm, '> ').replace(/\n/g, '\r\n')}` : '';
  const query = `subject=${encodeURIComponent(`Re: ${enquiry.form}`)}&body=${encodeURIComponent(quoted)}`;
  return `mailto:${encodeURIComponent(enquiry.email).replace('%40', '@')}?${query}`;
}

export type OpenEnquiryProps = { brandId: string; enquiry: Enquiry; closed: () => void };

/** An enquiry as it is read: what was written, and what can be done with it. */
export function OpenEnquiry({ brandId, enquiry, closed }: OpenEnquiryProps) {
  const { mark, erase } = useInboxActions(brandId);
  const { say } = useActions();
  const [asking, setAsking] = useState<'one' | 'person' | ''>('');
  const send = () =>
    erase.mutate(asking === 'person' ? { person: enquiry.email } : { ids: [enquiry.id] }, {
      onSuccess: ({ count }) => {
        closed();
        say(`${counted(count, 'enquiry', 'enquiries')} erased.`, false);
      },
    });
  const state = (to: Enquiry['state']) => mark.mutate({ ids: [enquiry.id], state: to });
  return (
    <article>
      <header>
        <h3 dir="auto">{enquiry.person || 'Without a name'}</h3>
        <p className="soft">
          {when.format(new Date(enquiry.received))}, through “{enquiry.form}” on {enquiry.page}.{' '}
          {enquiry.mailed ? `Sent on to ${enquiry.recipient}.` : `Not yet sent on to ${enquiry.recipient}.`}
        </p>
      </header>
      <dl>
        {enquiry.answers.map((one, index) => (
          <div key={`${one.label} ${index}`} className={one.kind === 'message' ? 'is-message' : undefined}>
            <dt dir="auto">{one.label}</dt>
            <dd dir="auto">
              {one.kind === 'email' && one.value ? (
                <a href={`mailto:${one.value}`}>{one.value}</a>
              ) : one.kind === 'tel' && one.value ? (
                <a href={`tel:${one.value.replace(/[^+\d]/g, '')}`}>{one.value}</a>
              ) : one.kind === 'tick' ? (
                one.value ? (
                  'ticked'
                ) : (
                  'not ticked'
                )
              ) : (
                one.value || '–'
              )}
            </dd>
          </div>
        ))}
      </dl>
      <div className="inbox-acts">
        {enquiry.email && (
          <a className="main-action" href={answerTo(enquiry)} onClick={() => state('answered')}>
            Answer by mail
          </a>
        )}
        {enquiry.state === 'answered' ? (
          <button type="button" className="quiet-action" onClick={() => state('read')}>
            Not answered yet
          </button>
        ) : (
          <button type="button" className="quiet-action" onClick={() => state('answered')}>
            Mark as answered
          </button>
        )}
        <button type="button" className="quiet-action" onClick={() => state('new')} disabled={enquiry.state === 'new'}>
          Mark as new
        </button>
        <button type="button" className="quiet-action" onClick={() => setAsking('one')}>
          Erase…
        </button>
        {enquiry.email && (
          <button type="button" className="quiet-action" onClick={() => setAsking('person')}>
            Erase all from {enquiry.email}…
          </button>
        )}
      </div>
      {asking && (
        <AskDialog
          title={asking === 'person' ? `Erase all that ${enquiry.email} wrote?` : 'Erase this enquiry?'}
          leave="Keep it"
          doIt="Erase for good"
          ready={!erase.isPending}
          error={erase.error}
          send={send}
          close={() => setAsking('')}
        >
          <p>
            It goes from the inbox and from the folder of messages, and cannot be brought back. Mail that has reached{' '}
            {enquiry.recipient} stays there.
          </p>
        </AskDialog>
      )}
    </article>
  );
}
