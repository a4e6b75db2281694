import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { draw, LIBRARY } from '../../testing';
import { found } from './found';
import { PictureSlot } from './PictureSlot';

const slot = (source: string, put = vi.fn(), disabled = false) => {
  const picture = { source, alt: '', decorative: true };
  draw(<PictureSlot path="picture" label="Picture" picture={picture} put={put} disabled={disabled} />);
  return put;
};

describe('the library of drawings', () => {
  it('is found by the beginnings of words, in any of its languages, and by season', () => {
    const ids = (asked: string) => found(LIBRARY.drawings, asked).map((one) => one.id);
    expect(ids('')).toEqual(['boat', 'flake']);
    expect(ids('BAT')).toEqual(['boat']);
    expect(ids('sail summer')).toEqual(['boat']);
    expect(ids('wint')).toEqual(['flake']);
    expect(ids('boat winter')).toEqual([]);
  });

  it('opens beside a picture, and what is chosen keeps its seed', async () => {
    const put = slot('drawn:arcs/44');
    expect(screen.queryByRole('region', { name: 'Drawings' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Drawings' }));
    await userEvent.type(screen.getByLabelText('Search the drawings'), 'snow');
    expect(screen.getByRole('status')).toHaveTextContent('1 of 2');
    await userEvent.click(screen.getByRole('button', { name: 'snow' }));
    expect(put.mock.calls).toEqual([
      ['picture', { source: 'drawn:flake/44', alt: '', decorative: true, overlay: undefined }, 'Another drawing'],
    ]);
  });

  it('says what to try where nothing is found', async () => {
    slot('drawn:boat/1');
    await userEvent.click(screen.getByRole('button', { name: 'Drawings' }));
    await userEvent.type(screen.getByLabelText('Search the drawings'), 'zebra');
    expect(screen.getByRole('status')).toHaveTextContent('No drawing is found by these words.');
  });
});
