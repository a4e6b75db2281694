import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, draw, refused, workbench } from '../../testing';
import { EditPicture } from './EditPicture';
import { PictureSlot, type PictureValue } from './PictureSlot';
import { picturesIn } from './usePictures';

const ADD = 'POST /api/brands/{brand_id}/pictures';
const EDIT = 'POST /api/brands/{brand_id}/pictures/{key}/edits';
const TRY = 'POST /api/brands/{brand_id}/pictures/{key}/tried';
const PHOTO = { id: 'korb', name: 'Ein Korb', address: '/api/brands/one/pictures/korb-480.webp' };
const value: PictureValue = { source: 'asset:korb', alt: 'Ein Korb', decorative: false };
const brand = workbench({ pictures: [PHOTO] } as never);
const file = (name: string, type = 'image/jpeg') => new File(['x'], name, { type });

function slot(more: Record<string, unknown> = {}) {
  const asked = answers({ [ADD]: { id: 'neu', name: 'Neu', width: 9, height: 9, workbench: {} }, ...more });
  const put = vi.fn();
  draw(<PictureSlot path="picture" label="Picture" picture={value} put={put} disabled={false} />, { brand });
  return { asked, put };
}

describe('pictures of a place', () => {
  it('are added many at once; the first stands there', async () => {
    const { asked, put } = slot();
    await userEvent.upload(screen.getByLabelText('Add pictures for Picture'), [
      file('a.jpg'),
      file('b.png', 'image/png'),
    ]);
    await waitFor(() => expect(put).toHaveBeenCalledTimes(1));
    expect(put).toHaveBeenCalledWith(
      'picture',
      { source: 'asset:neu', alt: 'Neu', decorative: false, overlay: undefined },
      'Picture: Neu',
    );
    expect(asked.filter(([way]) => way === ADD)).toHaveLength(2);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('that cannot be taken say why, by their names, and stop no other', async () => {
    const { put } = slot({ [ADD]: refused(422, 'a.jpg: the picture is broken or cut short.') });
    await userEvent.upload(screen.getByLabelText('Add pictures for Picture'), file('a.jpg'));
    expect(await screen.findByText('a.jpg: the picture is broken or cut short.')).toBeInTheDocument();
    expect(screen.getByRole('status')).toHaveTextContent('0 of 1 picture added');
    expect(put).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/broken/)).toBeNull();
  });

  it('are told from other files', () => {
    const all = [file('a.jpg'), file('b.svg', ''), file('c.pdf', 'application/pdf'), file('d.JPEG', '')];
    expect(picturesIn(all).map((one) => one.name)).toEqual(['a.jpg', 'b.svg', 'd.JPEG']);
    expect(picturesIn(null)).toEqual([]);
  });
});

describe('light work on a picture', () => {
  const open = (more: Record<string, unknown> = {}) => {
    const asked = answers({
      [TRY]: new Blob(['webp']),
      [EDIT]: { id: 'korb-2', name: 'Ein Korb', width: 9, height: 9, workbench: {} },
      ...more,
    });
    const put = vi.fn();
    const close = vi.fn();
    draw(<EditPicture picture={PHOTO} close={close} put={put} />, { brand });
    return { asked, put, close };
  };

  it('is tried at once, and makes another picture that is put there', async () => {
    const { asked, put, close } = open();
    expect(await screen.findByAltText('Ein Korb, as it would be')).toHaveAttribute(
      'src',
      expect.stringMatching(/^data:/),
    );
    expect(screen.getByRole('button', { name: 'Put it there' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: '↻ Turn right' }));
    await userEvent.click(screen.getByLabelText('take a plain background away'));
    await waitFor(() =>
      expect(asked.filter(([way]) => way === TRY).at(-1)?.[1]).toMatchObject({ turn: 90, plain: 0.06, straighten: 0 }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    await waitFor(() => expect(put).toHaveBeenCalledWith('korb-2', 'Ein Korb'));
    expect(asked.find(([way]) => way === EDIT)?.[1]).toMatchObject({ turn: 90, plain: 0.06 });
    expect(close).toHaveBeenCalled();
  });

  it('says what cannot be done, and does not do it', async () => {
    open({ [TRY]: refused(422, 'The background is not of one colour.') });
    expect(await screen.findByRole('alert')).toHaveTextContent('The background is not of one colour.');
    await userEvent.click(screen.getByRole('button', { name: '↺ Turn left' }));
    expect(screen.getByRole('button', { name: 'Put it there' })).toBeDisabled();
  });

  it('is cut by a frame with keys, seen whole while that is done, and its edge is mended with the brush', async () => {
    const { asked } = open();
    await screen.findByAltText('Ein Korb, as it would be');
    await userEvent.click(screen.getByRole('button', { name: 'Cut…' }));
    const right = screen.getByRole('slider', { name: 'Off the right' });
    right.focus();
    await userEvent.keyboard('{Shift>}{ArrowLeft}{ArrowLeft}{/Shift}');
    expect(right).toHaveAttribute('aria-valuenow', '10');
    await userEvent.click(screen.getByRole('button', { name: 'See it cut' }));
    const last = () => asked.filter(([way]) => way === TRY).at(-1)?.[1];
    await waitFor(() => expect(last()).toMatchObject({ crop: { x: 0, y: 0, width: 0.9, height: 1 } }));
    await userEvent.click(screen.getByLabelText('take a plain background away'));
    await userEvent.click(screen.getByRole('button', { name: 'Paint back' }));
    screen.getByRole('application').focus();
    await userEvent.keyboard('{ArrowRight} ');
    await waitFor(() =>
      expect(last()).toMatchObject({ strokes: [{ keep: true, radius: 0.03, points: [[0.459, 0.5]] }] }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Last stroke back' }));
    await waitFor(() => expect(last()).toMatchObject({ strokes: [] }));
  });
});
