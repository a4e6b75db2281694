import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw, IDENTITY, inSight, workbench, type MadeUp } from '../../testing';
import { PaletteFacet } from './PaletteFacet';
import { PaletteWall } from './PaletteWall';
import { usePaletteChoice } from './usePaletteChoice';

const LIST = 'POST /api/brands/{brand_id}/palettes';
const PREVIEW = 'POST /api/brands/{brand_id}/palettes/preview';
const RHYTHM = { opening: 'deep', middle: ['paper'], closing: 'brand' };
const palettes = (first = 1, more = {}) => ({
  proposals: [0, 1].map((index) => ({
    number: first + index,
    name: `Teal and amber ${first + index}`,
    says: `Reason ${first + index}.`,
    rhythm: RHYTHM,
    colors: [{ name: 'Teal', value: '#006677', what: 'what leads' }],
  })),
  known: [],
  unknown: [],
  next: 9,
  ...more,
});

function Both() {
  const choice = usePaletteChoice(true);
  return (
    <>
      <PaletteFacet choice={choice} />
      <PaletteWall choice={choice} />
    </>
  );
}
function both(more: Partial<MadeUp> = {}) {
  const brand = { ...workbench(), identity: { body: { ...IDENTITY, colors: [] }, revision: 4 } } as MadeUp['brand'];
  return draw(<Both />, { brand, change: vi.fn(() => Promise.resolve(true)), ...more });
}

beforeEach(inSight);
afterEach(() => vi.restoreAllMocks());

describe('palettes for a brand without colours', () => {
  it('stand side by side, say why, and are taken as one change with their rhythm', async () => {
    answers({ [LIST]: palettes(), [PREVIEW]: { html: '<p>page</p>' } });
    const { bench } = both();
    await userEvent.click(await screen.findByRole('button', { name: '2 Teal and amber 2' }));
    expect(screen.getByText('Reason 2.')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Take this palette' }));
    expect(changesOf(bench)).toEqual([
      [
        'Palette taken: Teal and amber 2',
        'identity: add /colors [{"name":"Teal","value":"#006677"}]',
        `choices: add /rhythm ${JSON.stringify(RHYTHM)}`,
      ],
    ]);
    expect(bench.say).toHaveBeenCalledWith('Teal and amber 2: the brand has its colours.');
  });

  it('follow a page in its colours, and in how it sets type and leaves space unless that is not wanted', async () => {
    const manner = { says: 'Headlines are 3.0 times the text.', density: null, ratio_small: 1.17, ratio_large: 1.277 };
    const found = { colors: [{ hex: '#123456', share: 0.4 }], manner };
    const asked = answers({ [LIST]: palettes(), [PREVIEW]: { html: '' }, ['POST /api/colors/picture']: found });
    const { bench } = both();
    await userEvent.click(await screen.findByRole('button', { name: 'A reference' }));
    await userEvent.upload(
      screen.getByLabelText('Choose a picture, a page or a style sheet'),
      new File(['p{}'], 'old.css', { type: 'text/css' }),
    );
    const alike = await screen.findByRole('checkbox', { name: /Headlines are 3.0 times the text/ });
    await userEvent.click(await screen.findByRole('button', { name: 'Take this palette' }));
    await userEvent.click(alike);
    await userEvent.click(screen.getByRole('button', { name: 'Take this palette' }));
    const rhythm = `add /rhythm ${JSON.stringify(RHYTHM)}`;
    expect(changesOf(bench).map((one) => one.slice(2))).toEqual([
      [`choices: ${rhythm}`, 'choices: add /scale/ratio_small 1.17', 'choices: add /scale/ratio_large 1.277'],
      [`choices: ${rhythm}`],
    ]);
    const drawn = asked.filter(([what]) => what === PREVIEW).map(([, body]) => body as { ratio_large: number | null });
    expect(drawn.some((one) => one.ratio_large === 1.277)).toBe(true);
  });

  it('follow words, and say which of them say nothing', async () => {
    const asked = answers({ [LIST]: palettes(1, { known: ['stormy'], unknown: ['zebra'] }), [PREVIEW]: { html: '' } });
    both();
    await userEvent.click(screen.getByRole('button', { name: 'Words' }));
    await userEvent.type(screen.getByLabelText('How it should feel'), 'stormy zebra{Enter}');
    expect(await screen.findByText(/From stormy\. “zebra” says nothing to it\./)).toBeInTheDocument();
    expect(JSON.stringify(asked)).toContain('stormy zebra');
  });

  it('go on with others', async () => {
    answers({ [LIST]: palettes(), [PREVIEW]: { html: '' } });
    both();
    await screen.findByRole('button', { name: '1 Teal and amber 1' });
    await userEvent.click(screen.getByRole('button', { name: 'Others' }));
    expect(await screen.findByRole('button', { name: 'Those before' })).toBeInTheDocument();
  });

  it('say that there is nothing to go by, and are not a reviewer’s to take', async () => {
    answers({ [LIST]: palettes(1, { proposals: [], next: 0 }), [PREVIEW]: { html: '' } });
    const { unmount } = both();
    expect(await screen.findByText('Nothing to go by yet.')).toBeInTheDocument();
    unmount();
    answers({ [LIST]: palettes(), [PREVIEW]: { html: '' } });
    both({ canWrite: false });
    const list = within(await screen.findByRole('list', { name: 'Palettes side by side' }));
    expect(list.getAllByRole('listitem')).toHaveLength(2);
    expect(screen.getByRole('button', { name: 'Take this palette' })).toBeDisabled();
  });
});
