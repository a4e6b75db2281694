import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Enquiry } from '../../api/client';
import { csvAddress } from '../../api/inbox';
import { answers, draw, refused, workbench, PAGES } from '../../testing';
import { came, opening } from './EnquiryList';
import { InboxStage } from './InboxStage';
import { answerTo } from './OpenEnquiry';

const ASK = 'GET /api/brands/{brand_id}/enquiries';
const MARK = 'POST /api/brands/{brand_id}/enquiries/marks';
const ERASE = 'POST /api/brands/{brand_id}/enquiries/erasures';
const KEEP = 'POST /api/brands/{brand_id}/enquiries/days';

const enquiry = (id: string, person: string, message: string, more: Partial<Enquiry> = {}): Enquiry => ({
  id,
  received: '2026-03-04T09:30:00Z',
  page: 'Kontakt',
  form: 'Schreiben Sie uns',
  recipient: 'post@weidling.example',
  person,
  email: `${id}@gast.example`,
  state: 'new',
  mailed: true,
  answers: [
    { label: 'Name', kind: 'name', value: person },
    { label: 'E-Mail', kind: 'email', value: `${id}@gast.example` },
    { label: 'Nachricht', kind: 'message', value: message },
  ],
  ...more,
});
const TWO = [enquiry('a', 'Ilse Rohr', 'Haben Sie Körbe?'), enquiry('b', 'دانا', 'مرحبا', { state: 'answered' })];
const inbox = (enquiries: Enquiry[], more: object = {}) => ({
  enquiries,
  found: enquiries.length,
  counts: {
    new: enquiries.filter((one) => one.state === 'new').length,
    read: 0,
    answered: enquiries.filter((one) => one.state === 'answered').length,
  },
  kept: enquiries.length,
  most: 100,
  bytes: 10,
  most_bytes: 1000,
  days: 180,
  days_offered: [30, 180, 365],
  folder: true,
  ...more,
});
const form = { ...PAGES[0]!, sections: [{ ...PAGES[0]!.sections![0]!, content: { form: { fields: [] } } }] };
const withForm = { pages: [{ body: form, revision: 1 }] } as never;

describe('the inbox', () => {
  it('is read by mouse and by arrows, and what is opened is no longer new', async () => {
    const asked = answers({ [ASK]: inbox(TWO), [MARK]: { count: 1 } });
    draw(<InboxStage />);
    await userEvent.click(await screen.findByRole('button', { name: /Ilse Rohr/ }));
    expect(asked).toContainEqual([MARK, { ids: ['a'], state: 'read' }]);
    const open = screen.getByRole('region', { name: 'The enquiry' });
    expect(within(open).getByRole('heading')).toHaveTextContent('Ilse Rohr');
    expect(open).toHaveTextContent('Haben Sie Körbe?');
    expect(open).toHaveTextContent('Sent on to post@weidling.example.');
    await userEvent.keyboard('{ArrowDown}');
    expect(within(open).getByRole('heading')).toHaveTextContent('دانا');
    expect(screen.getByRole('button', { name: /دانا/ })).toHaveFocus();
    expect(asked.filter(([way]) => way === MARK)).toHaveLength(1);
    await userEvent.click(within(open).getByRole('button', { name: 'Not answered yet' }));
    expect(asked).toContainEqual([MARK, { ids: ['b'], state: 'read' }]);
  });

  it('erases for good only when that is said twice, one or all of a person', async () => {
    const asked = answers({ [ASK]: inbox(TWO), [MARK]: { count: 1 }, [ERASE]: { count: 2 } });
    const { bench } = draw(<InboxStage />);
    await userEvent.click(await screen.findByRole('button', { name: /Ilse Rohr/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Erase all from a@gast.example…' }));
    expect(asked.some(([way]) => way === ERASE)).toBe(false);
    await userEvent.click(await screen.findByRole('button', { name: 'Erase for good' }));
    await waitFor(() => expect(bench.say).toHaveBeenCalledWith('2 enquiries erased.', false));
    expect(asked).toContainEqual([ERASE, { ids: [], person: 'a@gast.example' }]);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('says why nothing was erased', async () => {
    answers({ [ASK]: inbox(TWO), [MARK]: { count: 1 }, [ERASE]: refused(403, 'Your role does not allow that.') });
    draw(<InboxStage />);
    await userEvent.click(await screen.findByRole('button', { name: /Ilse Rohr/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Erase…' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Erase for good' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Your role does not allow that.');
  });

  it('says how long things are kept, that it is nearly full, and where mail goes', async () => {
    const asked = answers({ [ASK]: inbox(TWO, { kept: 90 }), [KEEP]: { days: 365 } });
    draw(<InboxStage />);
    await userEvent.selectOptions(await screen.findByLabelText(/Kept for/), '1 year');
    expect(asked).toContainEqual([KEEP, { days: 365 }]);
    expect(screen.getByText(/90 of 100 are kept/)).toBeInTheDocument();
    expect(screen.getByText(/No mail server/)).toBeInTheDocument();
  });

  it('says what to do while it is empty', async () => {
    answers({ [ASK]: inbox([]) });
    const first = draw(<InboxStage />);
    expect(await screen.findByText(/No page has a form yet/)).toBeInTheDocument();
    first.unmount();
    const second = draw(<InboxStage />, { brand: workbench(withForm) });
    expect(await screen.findByText(/is not released yet/)).toBeInTheDocument();
    second.unmount();
    const released = { ...(withForm as object), releases: [{ number: 1, live: true }] } as never;
    draw(<InboxStage />, { brand: workbench(released) });
    expect(await screen.findByText(/Nobody has written yet/)).toBeInTheDocument();
    expect(screen.queryByRole('link', { name: 'Take out as CSV' })).toBeNull();
  });

  it('is closed to who may only look', () => {
    const asked = answers({});
    draw(<InboxStage />, { canWrite: false });
    expect(screen.getByText(/for designers and owners/)).toBeInTheDocument();
    expect(asked).toEqual([]);
  });

  it('is taken out as what is asked for', () => {
    expect(csvAddress('one', { words: 'Körbe & mehr', state: 'new' })).toBe(
      '/api/brands/one/enquiries/csv?words=K%C3%B6rbe+%26+mehr&state=new',
    );
    expect(csvAddress('one', { words: '', state: '' })).toBe('/api/brands/one/enquiries/csv');
  });

  it('answers with what was written underneath, as mail programs take it', () => {
    const to = answerTo(enquiry('o’neill+x', 'A', 'Zwei\nZeilen & mehr?'));
    const [address, query] = to.split('?');
    expect(address).toBe('mailto:o%E2%80%99neill%2Bx@gast.example');
    const parts = new URLSearchParams(query?.replaceAll('+', '%2B'));
    expect(parts.get('subject')).toBe('Re: Schreiben Sie uns');
    expect(parts.get('body')).toBe('\r\n\r\n> Zwei\r\n> Zeilen & mehr?');
    expect(answerTo(enquiry('a', 'A', 'x'.repeat(5000))).length).toBeLessThan(2000);
  });

  it('tells the hour of today and the day of another, and opens with what was written', () => {
    const now = new Date(2026, 2, 4, 18);
    expect(came(new Date(2026, 2, 4, 9, 5).toISOString(), now)).toBe('09:05');
    expect(came(new Date(2026, 2, 3, 9, 5).toISOString(), now)).toBe('3 Mar 2026');
    expect(opening(enquiry('a', 'A', 'Hallo'))).toBe('Hallo');
    expect(opening(enquiry('a', 'A', ''))).toBe('a@gast.example');
  });
});
