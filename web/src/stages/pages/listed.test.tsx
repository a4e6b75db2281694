import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Page } from '../../api/client';
import { answers, draw, PAGES } from '../../testing';
import { cut, DESCRIPTION, Listed, TITLE } from './Listed';

const LISTING = 'GET /api/brands/{brand_id}/pages/{page_id}/listing';
const page = { ...PAGES[0]!, title: 'Körbe', description: 'Wir flechten.' } as Page;

function listed(of: Page = page, address = 'https://www.weidling.example/koerbe.html') {
  answers({ [LISTING]: { address, titles: ['Körbe', 'Körbe – Weidling'], descriptions: ['Wir flechten im Winter.'] } });
  const put = vi.fn();
  draw(<Listed page={of} put={put} disabled={false} />);
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
});
