import { useRef, type KeyboardEvent } from 'react';
import type { Enquiry } from '../../api/client';

const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });
const hour = new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' });

/** When it came: the hour of today, the day of any other. */
export function came(received: string, now = new Date()): string {
  const at = new Date(received);
  return at.toDateString() === now.toDateString() ? hour.format(at) : day.format(at);
}

/** The first words of what somebody wrote. */
export const opening = (enquiry: Enquiry): string =>
  enquiry.answers.find((one) => one.kind === 'message' && one.value)?.value ??
  enquiry.answers
    .filter((one) => one.value && one.value !== enquiry.person)
    .map((one) => one.value)
    .join(', ');

export type EnquiryListProps = { enquiries: Enquiry[]; open: string; show: (id: string) => void };

/** The enquiries, the newest first. Arrows go along them. */
export function EnquiryList({ enquiries, open, show }: EnquiryListProps) {
  const list = useRef<HTMLUListElement>(null);
  const move = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const at = enquiries.findIndex((one) => one.id === open);
    const next = enquiries[at + step];
    if (!step || !next) return;
    event.preventDefault();
    show(next.id);
    list.current?.querySelectorAll('button')[at + step]?.focus();
  };
  return (
    <ul className="enquiries" ref={list} onKeyDown={move}>
      {enquiries.map((one) => (
        <li key={one.id}>
          <button
            type="button"
            aria-current={one.id === open}
            className={one.state === 'new' ? 'is-new' : undefined}
            onClick={() => show(one.id)}
          >
            <b dir="auto">{one.person || 'Without a name'}</b>
            <time dateTime={one.received}>{came(one.received)}</time>
            <span dir="auto">{opening(one) || one.form}</span>
            <small>
              {one.form}
              {one.state === 'answered' ? ', answered' : one.state === 'new' ? ', new' : ''}
            </small>
          </button>
        </li>
      ))}
    </ul>
  );
}
