import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Page } from '../../api/client';
import { answers, changesOf, draw, PAGES, workbench, type MadeUp } from '../../testing';
import { Compose } from './Compose';

const LIST = 'GET /api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/compositions';
const HOME = PAGES[0]!;
const OURS = 'own:heading@1-6.1;text@7-12.1';
const offered = (...layouts: string[]) => ({
  offered: layouts.map((id, index) => ({
    id,
    label: 'Own',
    about: `Reason ${index + 1}.`,
    shows: ['heading'],
    sketch: [],
    on_picture: false,
    score: 0.9,
    measures: [],
  })),
});

function compose(more: Partial<MadeUp> = {}, layout = 'words') {
  const page = { ...HOME, sections: [{ ...HOME.sections![0]!, layout }] } as Page;
  const made = { change: vi.fn(() => Promise.resolve(true)), ...more };
  const row = { id: 'hero-1', section: page.sections![0]!, document: 'page:home', base: ['sections', 0] };
  return draw(
    <Compose page={page} row={row} kind="Hero" change={made.change} disabled={more.canWrite === false} />,
    made,
  );
}
const own = { id: OURS, label: 'Own', about: '', shows: [], sketch: [], on_picture: false, kind: 'hero', kept: false };

afterEach(() => vi.restoreAllMocks());

describe('compositions for a section', () => {
  it('are sought when asked for, say why, and are taken by one change', async () => {
    const asked = answers({ [LIST]: offered(OURS, 'own:heading+text@1-8.1') });
    const { bench } = compose();
    expect(asked).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Compose for these words' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Reason 2.' }));
    expect(changesOf(bench)).toEqual([
      ['Hero: composed', 'page:home: replace /sections/0/layout "own:heading+text@1-8.1"'],
    ]);
  });

  it('come anew as others, and are closed again', async () => {
    const asked = answers({ [LIST]: offered(OURS) });
    compose();
    await userEvent.click(screen.getByRole('button', { name: 'Compose for these words' }));
    await screen.findByRole('button', { name: 'Reason 1.' });
    const region = within(screen.getByRole('region', { name: 'Compositions' }));
    await userEvent.click(region.getByRole('button', { name: 'Others' }));
    await screen.findByRole('button', { name: 'Reason 1.' });
    expect(asked.length).toBeGreaterThan(1);
    await userEvent.click(region.getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('region', { name: 'Compositions' })).toBeNull();
  });

  it('say so where nothing can be composed', async () => {
    answers({ [LIST]: offered() });
    compose();
    await userEvent.click(screen.getByRole('button', { name: 'Compose for these words' }));
    expect(await screen.findByText('Nothing else can be composed of what stands here.')).toBeInTheDocument();
  });

  it('are kept under a name, and forgotten', async () => {
    const brand = { ...workbench(), layouts: [own] };
    const { bench, unmount } = compose({ brand }, OURS);
    const keep = screen.getByRole('button', { name: 'Keep for other pages' });
    expect(keep).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Name of this composition'), ' Window {Enter}');
    expect(changesOf(bench)).toEqual([
      [
        'Layout “Window” kept',
        `choices: add /compositions/- ${JSON.stringify({ name: 'Window', kind: 'hero', layout: OURS })}`,
      ],
    ]);
    expect(bench.say).toHaveBeenCalledWith('“Window” is a layout of the brand now.');
    unmount();
    const kept = { ...brand.choices.body, compositions: [{ name: 'Window', kind: 'hero', layout: OURS }] };
    const again = compose({ brand, choices: kept }, OURS);
    await userEvent.click(screen.getByRole('button', { name: 'No longer keep it' }));
    expect(changesOf(again.bench)).toEqual([['Layout “Window” no longer kept', 'choices: remove /compositions/0']]);
  });

  it('are not a reviewer’s to take or to keep', () => {
    compose({ canWrite: false, brand: { ...workbench(), layouts: [own] } }, OURS);
    expect(screen.getByRole('button', { name: 'Compose for these words' })).toBeDisabled();
    expect(screen.getByLabelText('Name of this composition')).toBeDisabled();
  });
});
