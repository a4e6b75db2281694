import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw, workbench } from '../../testing';
import { PagesDialog } from './PagesDialog';

const STRUCTURE = 'POST /api/brands/{brand_id}/structure';
const made = (more: object = {}) => ({ label: 'Done', changes: [], leads: [], page: 'kontakt', section: '', ...more });

function pages(more: object = {}, frame: object = {}) {
  const asked = answers({ [STRUCTURE]: made(more) });
  const brand = workbench();
  const open = vi.fn();
  const own = { ...brand, frame: { ...brand.frame, body: { ...brand.frame.body, ...frame } } } as typeof brand;
  const drawn = draw(<PagesDialog close={vi.fn()} open={open} />, { brand: own });
  const operations = () => asked.map(([, body]) => (body as { operations: unknown[] }).operations[0]);
  return { open, operations, ...drawn };
}

describe('the pages of a site', () => {
  it('are called and addressed otherwise, ordered, duplicated, hidden from the menu and from search engines', async () => {
    const { bench, operations, open } = pages();
    const name = screen.getByLabelText('Name of Kontakt');
    await userEvent.clear(name);
    await userEvent.type(name, 'Anfahrt{Enter}');
    const address = screen.getByLabelText('Address of Kontakt');
    await userEvent.clear(address);
    await userEvent.type(address, 'anfahrt{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'Move Kontakt up' }));
    await userEvent.click(screen.getByRole('button', { name: 'Duplicate Home' }));
    expect(operations()).toEqual([
      { do: 'rename_page', page: 'kontakt', name: 'Anfahrt' },
      { do: 'rename_page', page: 'kontakt', name: 'Kontakt', address: 'anfahrt' },
      { do: 'move_page', page: 'kontakt', after: '' },
      { do: 'duplicate_page', page: 'home' },
    ]);
    expect(open).toHaveBeenCalledWith('kontakt');
    vi.mocked(bench.change).mockClear();
    await userEvent.click(screen.getByLabelText('in the menu'));
    await userEvent.click(screen.getAllByLabelText('found by search engines')[0]!);
    expect(changesOf(bench)).toEqual([
      ['Kontakt not in the menu', 'page:kontakt: add /menu false'],
      ['Home kept from search engines', 'page:home: add /searched false'],
    ]);
  });

  it('are added by a purpose that is usual, or by any name', async () => {
    const { operations } = pages();
    expect(screen.queryByRole('button', { name: 'Kontakt' })).toBeNull(); // it is there
    await userEvent.click(screen.getByRole('button', { name: 'Prices' }));
    await userEvent.type(screen.getByLabelText('Add a page'), 'Kurse{Enter}');
    expect(operations()).toEqual([
      { do: 'add_page', name: 'Prices', after: null },
      { do: 'add_page', name: 'Kurse', after: null },
    ]);
  });

  it('that are taken out tell what leads to them, old addresses and entries of the menu among it', async () => {
    const lead = { page: '', section: '', label: 'Kontakt', to: 'page:kontakt' };
    const { operations } = pages({
      leads: [
        { ...lead, found_in: 'menu' },
        { ...lead, found_in: 'address', label: 'alt.html' },
      ],
    });
    await userEvent.click(screen.getByRole('button', { name: 'Take out Kontakt' }));
    const dialog = within(await screen.findByRole('dialog', { name: '2 links to Kontakt' }));
    expect(dialog.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      'Kontakt in the menu',
      'alt.html an old address',
    ]);
    expect(dialog.getAllByRole('option').map((one) => one.textContent)).toEqual(['Home']);
    await userEvent.click(dialog.getByRole('button', { name: 'Take it out' }));
    expect(operations().at(-1)).toEqual({ do: 'remove_page', page: 'kontakt', lead_to: 'page:home' });
  });

  it('have addresses that they once had, which can be forgotten', async () => {
    const { bench } = pages({}, { redirects: [{ path: 'alt.html', to: 'page:kontakt' }] });
    expect(screen.getByRole('region', { name: 'Old addresses' })).toHaveTextContent('alt.html → Kontakt');
    await userEvent.click(screen.getByRole('button', { name: 'Forget alt.html' }));
    expect(changesOf(bench)).toEqual([['alt.html leads nowhere any more', 'frame: remove /redirects/0']]);
  });
});

describe('the menu', () => {
  const tab = () => userEvent.click(screen.getByRole('tab', { name: 'Menu' }));

  it('follows the pages until it has entries of its own', async () => {
    const { bench } = pages();
    await tab();
    expect(screen.getByLabelText('the pages, in their order')).toBeChecked();
    await userEvent.click(screen.getByLabelText('entries of one’s own'));
    expect(changesOf(bench)[0]).toEqual([
      'A menu of one’s own',
      'frame: add /menu [{"label":"Kontakt","to":"page:kontakt","items":[]}]',
    ]);
  });

  it('has entries in two levels that are called, led, ordered and taken out', async () => {
    const menu = [
      { label: 'Werkstatt', to: 'page:home', items: [] },
      { label: 'Kontakt', to: 'page:kontakt', items: [] },
    ];
    const { bench } = pages({}, { menu });
    await tab();
    const changed = () => JSON.parse(changesOf(bench).at(-1)![1]!.replace('frame: add /menu ', '')) as typeof menu;
    await userEvent.click(screen.getByRole('button', { name: 'Put Kontakt under the entry before it' }));
    expect(changed()).toEqual([{ ...menu[0], items: [menu[1]] }]);
    await userEvent.click(screen.getByRole('button', { name: 'Move Kontakt up' }));
    expect(changed().map((one) => one.label)).toEqual(['Kontakt', 'Werkstatt']);
    await userEvent.selectOptions(screen.getByLabelText('Where Werkstatt leads'), 'page:home#cards-1');
    expect(changed()[0]!.to).toBe('page:home#cards-1');
    await userEvent.click(screen.getByRole('button', { name: 'Take Werkstatt out of the menu' }));
    expect(changed()).toEqual([menu[1]]);
    await userEvent.click(screen.getByRole('button', { name: 'Add an entry' }));
    expect(changed()).toHaveLength(3);
  });
});
