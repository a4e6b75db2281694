import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import type { LanguageLine } from '../../api/client';
import { answers, draw, inSight, refused } from '../../testing';
import { LanguagesView } from './LanguagesView';
import { shownBy } from './LanguageTexts';

const LIST = 'GET /api/brands/{brand_id}/languages';
const ADD = 'POST /api/brands/{brand_id}/languages';
const TEXTS = 'GET /api/brands/{brand_id}/languages/{code}/texts';
const PUT = 'PUT /api/brands/{brand_id}/languages/{code}/texts';
const PUBLISH = 'POST /api/brands/{brand_id}/languages/{code}/texts';
const OUT = 'DELETE /api/brands/{brand_id}/languages/{code}/texts';
const PAGE = 'GET /api/brands/{brand_id}/pages/{page_id}/preview';

const line = (source: string, text: string, state: LanguageLine['state'], more: Partial<LanguageLine> = {}) =>
  ({
    source,
    text,
    state,
    page: 'home',
    section: 'hero',
    label: 'Hero, Text',
    count: 1,
    was: '',
    lacks: [],
    places: [],
    ...more,
  }) as LanguageLine;
const LINES = [
  line('Weidling', 'Weidling', 'same', { page: '', label: 'Name', count: 4 }),
  line('Körbe aus *Weiden*', 'Willow baskets', 'done', { lacks: ['12'] }),
  line('Heute geschlossen', '', 'missing'),
  line('Morgen offen', 'Open then', 'older', { was: 'Immer offen', page: 'kontakt' }),
  line('Kontakt', 'Contact', 'ours', { page: 'kontakt' }),
];
const CARD = { code: 'en', name: 'English', published: false, states: { missing: 1, done: 1 } };
const list = (further: unknown[]) => ({ own: 'de', own_name: 'Deutsch', further, wanted: ['fr'] });
const known = (more: object = {}) => ({
  [LIST]: list([CARD]),
  [TEXTS]: { code: 'en', name: 'English', published: false, lines: LINES, findings: [] },
  [PUT]: {},
  [PUBLISH]: {},
  [OUT]: {},
  ...more,
});
const rows = () => screen.getAllByRole('textbox').map((one) => (one as HTMLTextAreaElement).value);

beforeEach(() => inSight());

describe('the languages of a site', () => {
  it('say what adding one means, and add the ones of the brief first', async () => {
    const asked = answers({ [LIST]: list([]), [ADD]: {} });
    draw(<LanguagesView />);
    expect(await screen.findByText('One language so far')).toBeInTheDocument();
    await userEvent.selectOptions(screen.getByLabelText('Add a language'), screen.getAllByRole('option')[1]!);
    await waitFor(() => expect(asked.some(([way]) => way === ADD)).toBe(true));
  });

  it('stand side by side, with what is to do, was changed, is the same and is our own', async () => {
    answers(known());
    draw(<LanguagesView />);
    expect(await screen.findByText('1 of 5 texts waits')).toBeInTheDocument();
    expect(rows()).toEqual(['Weidling', 'Willow baskets', '', 'Open then', 'Contact']);
    expect(screen.getByText('Körbe aus Weiden')).toHaveAttribute('lang');
    const missing = screen.getByRole('textbox', { name: 'Hero, Text: Heute geschlossen' });
    expect(missing).toHaveAccessibleDescription('to do');
    expect(missing).toHaveAttribute('lang', 'en');
    expect(screen.getByText('Immer offen')).toBeInTheDocument();
    expect(screen.getByText('without 12')).toBeInTheDocument();
    expect(screen.getByText('the same in every language')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'To do 1' }));
    expect(rows()).toEqual(['']);
    await userEvent.click(screen.getByRole('button', { name: 'To look at 2' }));
    expect(rows()).toEqual(['Willow baskets', 'Open then']);
    await userEvent.selectOptions(screen.getByLabelText('Page'), 'Kontakt');
    expect(rows()).toEqual(['Open then']);
  });

  it('are written one after the other by keyboard, and put back by Escape', async () => {
    const asked = answers(known());
    draw(<LanguagesView />);
    const first = await screen.findByRole('textbox', { name: /Körbe/ });
    await userEvent.type(first, '!{Escape}');
    expect(first).toHaveValue('Willow baskets');
    await userEvent.type(first, ' of 12 kinds');
    await userEvent.keyboard('{Control>}{Enter}{/Control}');
    expect(screen.getByRole('textbox', { name: /Heute/ })).toHaveFocus();
    await waitFor(() =>
      expect(asked).toContainEqual([PUT, { texts: { 'Körbe aus *Weiden*': 'Willow baskets of 12 kinds' } }]),
    );
  });

  it('are something else at a place where they mean something else', async () => {
    const at = (page: string, text: string) => ({
      place: `page:${page}/a`,
      page,
      section: 'a',
      label: 'Card, Title',
      text,
    });
    const open = line('Offen', 'Open', 'done', { count: 2, places: [at('home', ''), at('kontakt', 'Frank')] });
    const asked = answers(known({ [TEXTS]: { ...known()[TEXTS], lines: [open] } }));
    draw(<LanguagesView />);
    await userEvent.click(await screen.findByRole('button', { name: 'in 2 places, at 1 otherwise' }));
    expect(screen.getByLabelText('Kontakt · Card, Title')).toHaveValue('Frank');
    const first = screen.getByLabelText(/^(Home|Start|Körbe).* · Card, Title$/);
    expect(first).toHaveAttribute('placeholder', 'Open');
    await userEvent.type(first, 'Open now{Enter}');
    await waitFor(() => expect(asked).toContainEqual([PUT, { at: { Offen: { 'page:home/a': 'Open now' } } }]));
  });

  it('keep what was written where it does not fit, and say why', async () => {
    answers(known({ [PUT]: refused(422, 'Headline takes a text of at most 10 characters.') }));
    const { bench } = draw(<LanguagesView />);
    const field = await screen.findByRole('textbox', { name: /Heute/ });
    await userEvent.type(field, 'Closed for the whole of today');
    await userEvent.tab();
    await waitFor(() => expect(bench.report).toHaveBeenCalled());
    expect(field).toHaveValue('Closed for the whole of today');
  });

  it('are published, taken out, and seen', async () => {
    const stops = [{ page: 'home', section: 'hero', message: 'It is still to be written.', stops: true }];
    const asked = answers(
      known({
        [TEXTS]: { code: 'en', name: 'English', published: false, lines: LINES, findings: stops },
        [PAGE]: { html: '<p>Seen</p>' },
      }),
    );
    draw(<LanguagesView />);
    await userEvent.click(await screen.findByLabelText('published'));
    expect(asked).toContainEqual([PUBLISH, { published: true }]);
    expect(screen.getByRole('status')).toHaveTextContent('1 would stop a release');
    expect(screen.getByText('It is still to be written.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'See the page' }));
    expect(screen.queryAllByRole('textbox')).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Take English out' }));
    expect(asked.some(([way]) => way === OUT)).toBe(true);
  });

  it('tell which texts are to be looked at', () => {
    expect(LINES.map((one) => shownBy(one, 'look'))).toEqual([false, true, false, true, false]);
  });
});
