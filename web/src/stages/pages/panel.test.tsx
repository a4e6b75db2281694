import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Page } from '../../api/client';
import {
  answers,
  changesOf,
  choicesOf,
  draw,
  LIBRARY,
  PAGES,
  refused,
  workbench,
  type MadeUp,
  DRAWING,
} from '../../testing';
import type { Row } from './rows';
import { SectionPanel } from './SectionPanel';
import { linesOfWays, waysOf } from './editors/MapEditor';
import { RatingEditor } from './editors/RatingEditor';
import { SlotEditors } from './SlotEditors';

vi.mock('./PictureSlot', () => ({ PictureSlot: () => <p>A picture</p> }));
vi.mock('./OnPicture', () => ({ OnPicture: () => <p>On its picture</p> }));
vi.mock('./Listed', () => ({ Listed: () => <p>As it is listed</p> }));

const HOME = PAGES[0]!;
const rows = (page: Page = HOME): Row[] =>
  (page.sections ?? []).map((section, index) => ({
    id: section.id,
    section,
    document: `page:${page.id}`,
    base: ['sections', index],
  }));
const withSection = (change: Record<string, unknown>, at = 0): Page =>
  ({ ...HOME, sections: HOME.sections!.map((one, index) => (index === at ? { ...one, ...change } : one)) }) as Page;

function panel(page: Page = HOME, more: Partial<MadeUp> = {}, at = 0) {
  const choose = vi.fn();
  const made = { change: vi.fn(() => Promise.resolve(true)), ...more };
  const all = rows(page);
  const drawn = draw(
    <SectionPanel
      page={page}
      rows={all}
      current={all[at]}
      choose={choose}
      change={made.change}
      disabled={more.canWrite === false}
      paper={() => null}
    />,
    made,
  );
  return { choose, ...drawn };
}
const group = (name: string) => within(screen.getByRole('group', { name }));

describe('the sections of a page', () => {
  it('stand in their order, with kind and heading, the chosen one open', async () => {
    const { choose } = panel();
    const [first, second] = screen.getAllByRole('button', { expanded: undefined }).filter((one) => one.ariaExpanded);
    expect(first).toHaveTextContent('HeroKörbe, wie sie halten');
    expect(second).toHaveTextContent('OfferingWas wir flechten');
    expect([first?.ariaExpanded, second?.ariaExpanded]).toEqual(['true', 'false']);
    await userEvent.click(second!);
    await userEvent.click(first!);
    expect(choose.mock.calls).toEqual([['cards-1'], ['']]);
  });

  it('take another layout, and the one that they have is no change', async () => {
    const { bench } = panel();
    await userEvent.click(group('Layout').getByRole('button', { name: /Words only/ }));
    expect(changesOf(bench)).toEqual([]);
    await userEvent.click(group('Layout').getByRole('button', { name: /Split/ }));
    expect(changesOf(bench)).toEqual([['Hero: Split', 'page:home: replace /sections/0/layout "split"']]);
  });

  it('take another ground', async () => {
    const { bench } = panel();
    await userEvent.click(group('Ground').getByRole('button', { name: 'tint' }));
    expect(changesOf(bench)).toEqual([['Hero on tint', 'page:home: replace /sections/0/ground "tint"']]);
  });

  it('depart from a rhythm with a ground of their own, and follow it again', async () => {
    const choices = choicesOf({ rhythm: ['paper', 'tint'] } as never);
    const { bench, unmount } = panel(HOME, { choices });
    await userEvent.click(group('Ground').getByRole('button', { name: 'tint' }));
    expect(changesOf(bench)[0]?.slice(1)).toEqual([
      'page:home: replace /sections/0/ground "tint"',
      'page:home: add /sections/0/departs true',
    ]);
    expect(screen.queryByRole('button', { name: /^departs from the rhythm/ })).toBeNull();
    unmount();
    const again = panel(withSection({ departs: true }), { choices });
    await userEvent.click(screen.getByRole('button', { name: /^departs from the rhythm/ }));
    expect(changesOf(again.bench)[0]?.slice(1)).toEqual(['page:home: add /sections/0/departs false']);
  });

  const arranged = (more: object = {}) => ({
    label: 'Done',
    changes: [{ document: 'page:home', patch: [{ op: 'remove', path: '/sections/1' }] }],
    leads: [],
    page: 'home',
    section: '',
    ...more,
  });
  const STRUCTURE = 'POST /api/brands/{brand_id}/structure';

  it('are taken out where they stand, and undo is offered', async () => {
    const asked = answers({ [STRUCTURE]: arranged() });
    const { bench, choose } = panel(HOME, {}, 1);
    await userEvent.click(screen.getByRole('button', { name: 'Take out' }));
    expect(asked).toEqual([
      [STRUCTURE, { operations: [{ do: 'take_out', page: 'home', section: 'cards-1' }], draw: null }],
    ]);
    expect(changesOf(bench)).toEqual([['Done', 'page:home: remove /sections/1']]);
    expect(choose).toHaveBeenCalledWith('');
    expect(bench.say).toHaveBeenCalledWith('Offering taken out.');
  });

  it('that something leads to say what, and ask where that leads then', async () => {
    const lead = {
      found_in: 'content',
      page: 'kontakt',
      section: 'text',
      label: 'Zu den Körben',
      to: 'page:home#cards-1',
    };
    const asked = answers({ [STRUCTURE]: arranged({ leads: [lead] }) });
    const { bench } = panel(HOME, {}, 1);
    await userEvent.click(screen.getByRole('button', { name: 'Take out' }));
    const dialog = within(await screen.findByRole('dialog', { name: '1 link to Offering' }));
    expect(dialog.getByText('Zu den Körben').closest('li')).toHaveTextContent('Zu den Körben Kontakt');
    expect(changesOf(bench)).toEqual([]);
    await userEvent.selectOptions(dialog.getByLabelText('These then lead to'), 'page:kontakt');
    await userEvent.click(dialog.getByRole('button', { name: 'Take it out' }));
    expect(asked.at(-1)?.[1]).toEqual({
      operations: [{ do: 'take_out', page: 'home', section: 'cards-1', lead_to: 'page:kontakt' }],
      draw: null,
    });
    expect(changesOf(bench)).toHaveLength(1);
  });

  it('that could not be taken out are not said to be', async () => {
    answers({ [STRUCTURE]: arranged() });
    const { bench } = panel(HOME, { change: vi.fn(() => Promise.resolve(false)) });
    await userEvent.click(screen.getByRole('button', { name: 'Take out' }));
    expect(bench.say).not.toHaveBeenCalled();
    answers({
      'GET /api/brands': { brands: [] },
      [STRUCTURE]: refused(422, 'This section is not on its page any more.'),
    });
    await userEvent.click(screen.getByRole('button', { name: 'Duplicate' }));
    expect(vi.mocked(bench.report).mock.calls[0]?.[0]).toHaveProperty(
      'message',
      'This section is not on its page any more.',
    );
  });

  it('stay while they are locked', async () => {
    const { bench } = panel(withSection({ locked: true }));
    expect(screen.getByRole('button', { name: 'Take out' })).toBeDisabled();
    await userEvent.click(screen.getByLabelText(/^keep as it is/));
    expect(changesOf(bench)).toEqual([['Hero unlocked', 'page:home: add /sections/0/locked false']]);
  });

  it.each([
    ['Move down', { do: 'move', after: 'cards-1' }],
    ['Duplicate', { do: 'duplicate' }],
    ['Park', { do: 'park' }],
    ['Park, go on with a copy', { do: 'park', copy: true }],
    ['Hide', { do: 'hide', hidden: true }],
  ])('are changed as a whole: %s', async (name, operation) => {
    const asked = answers({
      'GET /api/brands': { brands: [] },
      [STRUCTURE]: arranged({ section: 'other', page: 'home' }),
    });
    const { choose } = panel();
    await userEvent.click(screen.getByRole('button', { name }));
    const draw = operation.do === 'move' ? null : DRAWING; // what moves is drawn already
    expect(asked[0]?.[1]).toEqual({ operations: [{ ...operation, page: 'home', section: 'hero-1' }], draw });
    expect(choose).toHaveBeenCalledWith('other', 'home');
  });

  it('are turned into another kind, copied to another page, and not shown at a width', async () => {
    const asked = answers({ 'GET /api/brands': { brands: [] }, [STRUCTURE]: arranged() });
    panel(withSection({ aside: { offering: { layout: 'row' } }, hidden_on: ['tablet'] }));
    const kinds = screen.getByLabelText('Change Hero into another kind');
    expect(within(kinds).getByRole('option', { name: 'Offering (as it was)' })).toBeInTheDocument();
    await userEvent.selectOptions(kinds, 'offering');
    await userEvent.selectOptions(screen.getByLabelText('Copy or move Hero to another page'), 'move kontakt');
    await userEvent.click(screen.getByLabelText('phone'));
    const at = { page: 'home', section: 'hero-1' };
    expect(
      asked.filter(([what]) => what === STRUCTURE).map(([, body]) => (body as { operations: unknown[] }).operations[0]),
    ).toEqual([
      { do: 'change_kind', ...at, kind: 'offering' },
      { do: 'move', ...at, to: 'kontakt' },
      { do: 'widths', ...at, hidden_on: ['phone', 'tablet'] },
    ]);
  });

  it('are copied to another site', async () => {
    const copy = 'POST /api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/copy';
    const brands = {
      brands: [
        { id: 'one', name: 'Weidling' },
        { id: 'two', name: 'Moorhof' },
      ],
    };
    const asked = answers({ 'GET /api/brands': brands, [copy]: { brand: 'Moorhof', page: 'Start' } });
    const { bench } = panel();
    screen.getByLabelText('Copy or move Hero to another page').focus();
    await screen.findByRole('option', { name: 'Moorhof' });
    expect(screen.queryByRole('option', { name: 'Weidling' })).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Copy or move Hero to another page'), 'site two');
    expect(asked.at(-1)).toEqual([copy, { brand: 'two' }]);
    expect(bench.say).toHaveBeenCalledWith('Hero stands at the end of “Start” of Moorhof.', false);
  });

  it('that no visitor sees say so, and parked ones are brought back', async () => {
    const asked = answers({ [STRUCTURE]: arranged() });
    panel(withSection({ parked: true }));
    expect(screen.getByRole('button', { expanded: true })).toHaveTextContent('Heroparked');
    expect(screen.queryByRole('button', { name: 'Hide' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Bring back' }));
    expect(asked[0]?.[1]).toEqual({
      operations: [{ do: 'bring_back', page: 'home', section: 'hero-1' }],
      draw: DRAWING,
    });
  });

  it('are moved, duplicated, hidden, parked and taken out by keys on their row', async () => {
    const asked = answers({ [STRUCTURE]: arranged() });
    panel();
    const [first, second] = screen.getAllByRole('button').filter((one) => one.ariaExpanded);
    first!.focus();
    await userEvent.keyboard('{Alt>}{ArrowUp}{ArrowDown}{/Alt}dhp{Delete}');
    second!.focus();
    await userEvent.keyboard('{Alt>}{ArrowDown}{ArrowUp}{/Alt}');
    const one = { page: 'home', section: 'hero-1' };
    expect(asked.map(([, body]) => (body as { operations: unknown[] }).operations[0])).toEqual([
      { do: 'move', ...one, after: 'cards-1' },
      { do: 'duplicate', ...one },
      { do: 'hide', ...one, hidden: true },
      { do: 'park', ...one },
      { do: 'take_out', ...one },
      { do: 'move', page: 'home', section: 'cards-1', after: '' },
    ]);
  });

  it('ask for words on a picture only where there is one', () => {
    const library = structuredClone(LIBRARY);
    library.kinds[0]!.layouts[0]!.on_picture = 'middle' as never;
    const kinds = LIBRARY.kinds.splice(0, 1, library.kinds[0]!);
    const { unmount } = panel();
    expect(screen.queryByText('On its picture')).toBeNull();
    unmount();
    panel(withSection({ content: { heading: 'A', picture: { source: 'drawn:arcs/1', alt: '' } } }));
    expect(screen.getByText('On its picture')).toBeInTheDocument();
    LIBRARY.kinds.splice(0, 1, ...kinds);
  });

  it('say where their words come from, and on a site of one page have names in the menu', async () => {
    const { unmount } = panel(withSection({ source: 'preise.md' }));
    expect(screen.getByText('Its words come from preise.md.')).toBeInTheDocument();
    expect(screen.queryByLabelText('Name in the menu')).toBeNull();
    unmount();
    const brand = workbench();
    const { bench } = panel(HOME, { brand: { ...brand, pages: brand.pages.slice(0, 1) } });
    await userEvent.type(screen.getByLabelText('Name in the menu'), 'Preise{Enter}');
    expect(changesOf(bench)).toEqual([['“Preise” in the menu', 'page:home: add /sections/0/menu "Preise"']]);
  });

  it('are not a reviewer’s to change', () => {
    panel(HOME, { canWrite: false });
    const buttons = [
      ...group('Layout').getAllByRole('button'),
      ...group('Ground').getAllByRole('button'),
      screen.getByRole('button', { name: 'Take out' }),
      screen.getByRole('button', { name: 'Duplicate' }),
      screen.getByRole('button', { name: 'Add a section' }),
      screen.getByLabelText('in the menu'),
      screen.getByLabelText('Title'),
    ];
    expect(buttons.filter((one) => !(one as HTMLButtonElement).disabled)).toEqual([]);
  });

  it('stand under a page that is in the menu or not, with words for search engines', async () => {
    const { bench } = panel({ ...HOME, menu: false } as Page);
    await userEvent.click(screen.getByLabelText('in the menu'));
    await userEvent.type(screen.getByLabelText('Description'), 'Körbe, Zäune, Reparaturen');
    await userEvent.tab();
    expect(changesOf(bench)).toEqual([
      ['Home in the menu', 'page:home: add /menu true'],
      ['Description written', 'page:home: replace /description "Körbe, Zäune, Reparaturen"'],
    ]);
  });

  it('are none on an empty page', () => {
    panel(PAGES[1], {}, 7);
    expect(screen.queryByRole('group', { name: 'Layout' })).toBeNull();
    expect(screen.getByLabelText('Title')).toHaveAttribute('placeholder', 'Missing');
  });
});

describe('slots that cannot be edited on the page', () => {
  function slots(content: Record<string, unknown>, kind = 0, disabled = false) {
    const page = withSection({ content }, kind);
    const row = rows(page)[kind]!;
    const change = vi.fn(() => Promise.resolve(true));
    return draw(
      <SlotEditors row={row} kind={LIBRARY.kinds[kind]} change={change} disabled={disabled} pageId="home" />,
      { change },
    );
  }
  const action = (to: string) => ({ heading: 'A', action: { label: 'Besuchen', to } });

  it('lead to another page, to an address, or nowhere yet', async () => {
    const { bench } = slots(action('page:kontakt'));
    const where = screen.getByLabelText('Where Besuchen leads');
    expect(where).toHaveValue('page:kontakt');
    // Not to the page on which it stands, but to its sections besides the first.
    expect([...where.querySelectorAll('option')].map((one) => one.textContent)).toEqual([
      'leads nowhere yet',
      'this page: Was wir flechten',
      'Kontakt',
      'a file to add…',
      'an address…',
      'an email…',
      'a telephone…',
    ]);
    await userEvent.selectOptions(where, '');
    await userEvent.selectOptions(where, 'address');
    await userEvent.type(screen.getByLabelText('Address that it leads to'), 'https://weidling.example/{Enter}');
    expect(changesOf(bench).map((one) => one[1])).toEqual([
      'page:home: add /sections/0/content/action/to ""',
      'page:home: add /sections/0/content/action/to "https://weidling.example/"',
    ]);
  });

  it('depart from the system with a reason that stays with them, and follow it again', async () => {
    const first = LIBRARY.kinds[0]?.slots.find((one) => one.path === 'action');
    Object.assign(first ?? {}, { variant: 'primary' });
    const { bench, unmount } = slots(action('page:kontakt'));
    await userEvent.selectOptions(screen.getByLabelText('How Besuchen is drawn'), 'departs: as the second button');
    expect(changesOf(bench)[0]).toEqual([
      '“Besuchen” departs from the system',
      'page:home: add /sections/0/content/action {"label":"Besuchen","to":"page:kontakt","drawn_as":"secondary","reason":""}',
    ]);
    unmount();
    const again = slots({
      heading: 'A',
      action: { label: 'Besuchen', to: 'page:kontakt', drawn_as: 'secondary', reason: 'leise' },
    });
    const reason = screen.getByLabelText('Why Besuchen departs');
    expect(reason).toHaveValue('leise');
    await userEvent.clear(reason);
    await userEvent.type(reason, 'hier leise{Enter}');
    await userEvent.selectOptions(screen.getByLabelText('How Besuchen is drawn'), 'as the first button');
    expect(changesOf(again.bench).map((one) => one[1])).toEqual([
      'page:home: add /sections/0/content/action/reason "hier leise"',
      'page:home: add /sections/0/content/action {"label":"Besuchen","to":"page:kontakt"}',
    ]);
  });

  it('say so where the page that they led to is gone', () => {
    slots(action('page:preise'));
    expect(screen.getByLabelText('Where Besuchen leads')).toHaveValue('gone');
    expect(screen.getByRole('option', { name: 'a place that is gone' })).toBeInTheDocument();
  });

  it('show an address that is not a page', async () => {
    const { bench } = slots(action('mailto:korb@weidling.example'));
    const field = screen.getByLabelText('Email that it leads to');
    expect(field).toHaveValue('korb@weidling.example');
    await userEvent.clear(field);
    await userEvent.type(field, 'post@weidling.example{Enter}');
    expect(changesOf(bench)[0]?.[1]).toBe(
      'page:home: add /sections/0/content/action/to "mailto:post@weidling.example"',
    );
  });

  it('are filled with a marked gap, never with words of ours', async () => {
    const { bench } = slots({ heading: 'A' });
    await userEvent.click(screen.getByRole('button', { name: '+ Text' }));
    await userEvent.click(screen.getByRole('button', { name: '+ Picture' }));
    await userEvent.click(screen.getByRole('button', { name: '+ Second action' }));
    expect(changesOf(bench).map((one) => one[1])).toEqual([
      'page:home: add /sections/0/content/text "[[Text]]"',
      'page:home: add /sections/0/content/picture {"source":"drawn:arcs/1","alt":"","decorative":true}',
      'page:home: add /sections/0/content/second {"label":"[[Second action]]","to":""}',
    ]);
  });

  it('are taken out', async () => {
    const { bench } = slots(action(''));
    await userEvent.click(screen.getByRole('button', { name: 'Take out Besuchen' }));
    expect(changesOf(bench)).toEqual([['“Besuchen” taken out', 'page:home: remove /sections/0/content/action']]);
  });

  it('offer the empty ones of every card, by number', async () => {
    const { bench } = slots({ heading: 'A', items: [{ title: 'Eins', text: 'x' }, { title: 'Zwei' }] }, 1);
    expect(screen.queryByRole('button', { name: '+ Text of card 1' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: '+ Text of card 2' }));
    expect(changesOf(bench)[0]?.[1]).toBe('page:home: add /sections/1/content/items/1/text "[[Text of card]]"');
  });

  it('add and take out cards, from one to twelve', async () => {
    const items = (count: number) => ({
      items: Array.from({ length: count }, (_, n) => ({ title: `${n}`, text: 't' })),
    });
    const one = slots(items(1), 1);
    expect(screen.queryByRole('button', { name: '− Last card' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: '+ Card' }));
    expect(changesOf(one.bench)[0]?.[1]).toContain('add /sections/1/content/items/-');
    one.unmount();
    const twelve = slots(items(12), 1);
    expect(screen.queryByRole('button', { name: '+ Card' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: '− Last card' }));
    expect(changesOf(twelve.bench)[0]?.[1]).toBe('page:home: remove /sections/1/content/items/11');
  });

  it('hold longer texts and tables, written as lines', async () => {
    const story = {
      path: 'story',
      label: 'Story',
      type: 'rich_text',
      blank: '[[Story]]',
      most: 4000,
      one: '',
      variant: '',
    };
    const prices = {
      path: 'prices',
      label: 'Prices',
      type: 'table',
      blank: { head: ['[[What]]'], rows: [] },
      most: 600,
      one: '',
      variant: '',
    };
    const odd = { path: 'odd', label: 'Odd', type: 'hologram', blank: null, most: 1, one: '', variant: '' };
    const kind = { ...LIBRARY.kinds[0]!, slots: [story, prices, odd] } as never;
    const content = { story: 'One.', prices: { head: ['What', 'Price'], rows: [['Basket', '48 €']] } };
    const change = vi.fn(() => Promise.resolve(true));
    const at = rows(withSection({ content }))[0]!;
    const { bench } = draw(<SlotEditors row={at} kind={kind} change={change} disabled={false} pageId="home" />, {
      change,
    });
    expect(screen.getByText(/^Odd cannot be edited here/)).toBeInTheDocument();
    const text = screen.getByLabelText('Story');
    await userEvent.clear(text);
    await userEvent.type(text, '- two');
    await userEvent.tab();
    const table = screen.getByLabelText('Prices');
    expect(table).toHaveValue('What | Price\nBasket | 48 €');
    await userEvent.clear(table);
    await userEvent.type(table, 'What | Price\nHurdle\nBag | 9 € | more');
    await userEvent.tab();
    expect(changesOf(bench).map((one) => one[1])).toEqual([
      'page:home: add /sections/0/content/story "- two"',
      'page:home: add /sections/0/content/prices {"head":["What","Price"],"rows":[["Hurdle",""],["Bag","9 €"]]}',
    ]);
  });

  it('are those that the layout shows; what is kept for others is told by name', () => {
    const known = LIBRARY.kinds[0]!;
    const layouts = known.layouts.map((one) => ({ ...one, shows: ['heading', 'text', 'action'] }));
    const content = {
      second: { label: 'Later', to: '' },
      picture: { source: 'drawn:arcs/1', alt: '', decorative: true },
    };
    const at = rows(withSection({ content }))[0]!;
    draw(<SlotEditors row={at} kind={{ ...known, layouts }} change={vi.fn()} disabled={false} pageId="home" />);
    expect(screen.getByText('Kept for layouts that show it: Second action, Picture.')).toBeInTheDocument();
    expect(screen.queryByLabelText('Where Later leads')).toBeNull();
    expect(screen.getByRole('button', { name: '+ Action' })).toBeInTheDocument();
  });

  it('hold maps: a way on each line', () => {
    const ways = [{ text: 'Ten minutes from the quay', side: 'sw', how: 'boat' }];
    expect(linesOfWays(ways)).toBe('Ten minutes from the quay | sw | boat');
    expect(waysOf('Ten minutes from the quay | sw | boat\n\nBy road | up | sledge')).toEqual([
      ...ways,
      { text: 'By road', side: 'n', how: 'foot' },
    ]);
  });

  it('of a kind that the library does not know are none', () => {
    draw(<SlotEditors row={rows()[0]!} kind={undefined} change={vi.fn()} disabled={false} pageId="home" />, {
      brand: workbench(),
    });
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

describe('the header', () => {
  const header = { id: 'header', kind: 'header', layout: 'bar', ground: 'navigation', content: {} };
  const page = { ...HOME, sections: [header] } as unknown as Page;

  it('stays in sight, and has ways to reach the brand over it where any is known', async () => {
    const { bench, unmount } = panel(page);
    await userEvent.click(screen.getByLabelText('stays in sight while a page is scrolled'));
    await userEvent.click(screen.getByLabelText('telephone, mail and address over it'));
    expect(changesOf(bench)).toEqual([
      ['Header stays in sight', 'choices: add /header_stays true'],
      ['Ways to reach the brand over the header', 'choices: add /header_strip true'],
    ]);
    unmount();
    panel(page, { choices: { ...workbench().choices.body, header_strip: true } });
    expect(screen.getByText('None of them is known yet: write them in the brief.')).toBeInTheDocument();
  });
});

describe('stars that were given', () => {
  const slot = { path: 'items/rating', label: 'Stars given', type: 'rating', blank: 5, most: 0, one: '', variant: '' };
  const editor = (value: unknown, put = vi.fn(), disabled = false) => {
    const row = rows()[0]!;
    const props = { path: 'items/0/rating', label: 'Stars given 1', slot, row, pageId: 'home', disabled, put };
    draw(<RatingEditor {...props} value={value} />);
    return put;
  };

  it('are added, changed and taken out', async () => {
    const put = editor(4);
    const select = screen.getByLabelText('Stars given 1');
    await userEvent.selectOptions(select, '4.5 of 5');
    await userEvent.selectOptions(select, 'none');
    expect(put.mock.calls).toEqual([
      ['items/0/rating', 4.5, 'Stars given 1: 4.5 of 5'],
      ['items/0/rating', null, 'Stars given 1 taken out'],
    ]);
  });

  it('are not there until somebody adds them', async () => {
    const put = editor(undefined);
    await userEvent.click(screen.getByRole('button', { name: /Stars given 1/ }));
    expect(put).toHaveBeenCalledTimes(1);
  });
});
