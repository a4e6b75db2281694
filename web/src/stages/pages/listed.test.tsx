import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Page } from '../../api/client';
import { answers, draw, PAGES, workbench } from '../../testing';
import { cut, DESCRIPTION, Listed, TITLE } from './Listed';

const LISTING = 'GET /api/brands/{brand_id}/pages/{page_id}/listing';
const page = { ...PAGES[0]!, title: 'Körbe', description: 'Wir flechten.' } as Page;

const PICTURES = [{ id: 'korb', name: 'Ein Korb', address: '/p/korb.webp', width: 900, height: 600, size: 41000 }];
const putCard = vi.fn();

function listed(of: Page = page, address = 'https://www.weidling.example/koerbe.html') {
  answers({ [LISTING]: { address, titles: ['Körbe', 'Körbe – Weidling'], descriptions: ['Wir flechten im Winter.'] } });
  const put = vi.fn();
  draw(<Listed page={of} put={put} putCard={putCard} disabled={false} />, { brand: workbench({ pictures: PICTURES }) });
  return put;
}

describe('how a page is listed', () => {
  it('is shown as a search result and as a card, with what is proposed', async () => {
    const put = listed();
    expect(await screen.findByText('www.weidling.example › koerbe.html')).toBeInTheDocument();
    expect(screen.getAllByText('Körbe')).toHaveLength(2);
    expect(screen.getByText('www.weidling.example')).toBeInTheDocument();
    expect(screen.getByText(/title \d+ of 600 px/)).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'title Körbe' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'title Körbe – Weidling' }));
    expect(put).toHaveBeenLastCalledWith('title', 'Körbe – Weidling');
    await userEvent.click(screen.getByRole('button', { name: 'description Wir flechten im Winter.' }));
    expect(put).toHaveBeenLastCalledWith('description', 'Wir flechten im Winter.');
  });

  it('is a card alone where the page is kept from search, and says where no address is known', async () => {
    listed({ ...page, searched: false }, 'koerbe.html');
    expect(await screen.findByText(/asked not to list this page/)).toBeInTheDocument();
    expect(screen.getByText('where the site will stand')).toBeInTheDocument();
    expect(screen.queryByText(/of 600 px/)).toBeNull();
  });

  it('is cut at whole words where it is too wide, as it is drawn', () => {
    const wide = (text: string, kind: { font: string }) => text.length * (kind === TITLE ? 10 : 7);
    expect(cut('Kurz', TITLE, wide)).toBe('Kurz');
    const long = 'Körbe aus Weiden, die wir selbst auf vier Hektar Moor schneiden und flechten';
    const made = cut(long, TITLE, wide);
    expect(made.endsWith(' …') && wide(made, TITLE) <= TITLE.room).toBe(true);
    expect(long.startsWith(made.slice(0, -2))).toBe(true);
    expect(cut('x'.repeat(400), DESCRIPTION, wide)).toBe(`${'x'.repeat(400)} …`);
  });

  it('shows a picture of one’s own on the card, around the point that stays in sight', async () => {
    listed();
    const chosen = await screen.findByLabelText('Picture of the card');
    expect(chosen).toHaveValue('');
    await userEvent.selectOptions(chosen, 'Ein Korb');
    expect(putCard).toHaveBeenLastCalledWith({ source: 'asset:korb' }, 'The card shows a picture');
    cleanup();
    listed({ ...page, card: { source: 'asset:korb', focus: { x: 0.5, y: 0.5 } } });
    (await screen.findByRole('button', { name: /^Point that stays in sight/ })).focus();
    await userEvent.keyboard('{ArrowRight}');
    await waitFor(() =>
      expect(putCard).toHaveBeenLastCalledWith(
        { source: 'asset:korb', focus: { x: 0.52, y: 0.5 } },
        'What the card keeps in sight',
      ),
    );
    await userEvent.selectOptions(screen.getByLabelText('Picture of the card'), 'the title on the deep ground');
    expect(putCard).toHaveBeenLastCalledWith(null, 'The card shows the title');
    cleanup();
    listed({ ...page, card: { source: 'asset:gone' } });
    expect(await screen.findByRole('option', { name: 'a picture that is gone' })).toBeInTheDocument();
  });
});
