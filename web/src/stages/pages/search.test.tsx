import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw } from '../../testing';
import { SearchDialog } from './SearchDialog';

const SEARCH = 'POST /api/brands/{brand_id}/search';
const at = (path: string, more: object = {}) => ({
  document: 'page:home',
  path,
  page: 'home',
  section: 'hero-1',
  label: 'Hero, Headline',
  before: 'Unsere ',
  match: 'Körbe',
  after: ' halten',
  count: 1,
  ...more,
});
const CHANGE = { document: 'page:home', patch: [{ op: 'replace', path: '/title', value: 'Zäune' }] };

function searching(places: unknown[]) {
  const asked = answers({ [SEARCH]: { places, changes: [CHANGE] } });
  const open = vi.fn();
  return { asked, open, ...draw(<SearchDialog close={vi.fn()} open={open} />) };
}

describe('words over the whole site', () => {
  it('are shown where they stand, and replaced where that is wanted', async () => {
    const { asked, bench } = searching([at('/a'), at('/b', { count: 3, label: 'Title', section: '' })]);
    await userEvent.type(screen.getByLabelText('Search for'), 'körbe');
    const rows = await screen.findAllByRole('listitem');
    expect(rows[0]).toHaveTextContent('Home · Hero, HeadlineUnsere Körbe halten');
    expect(screen.getByRole('status')).toHaveTextContent('2 texts. What is unchecked stays as it is.');
    await userEvent.type(screen.getByLabelText('Put in its place'), 'Zäune');
    expect(screen.getByRole('button', { name: 'Replace 4 times' })).toBeEnabled();
    await userEvent.click(within(rows[1]!).getByRole('checkbox'));
    await userEvent.click(screen.getByRole('button', { name: 'Replace 1 time' }));
    expect(asked.at(-1)?.[1]).toEqual({
      words: 'körbe',
      by: 'Zäune',
      only: [['page:home', '/a']],
      cases: false,
      whole: false,
    });
    expect(changesOf(bench)).toEqual([['“körbe” became “Zäune”', 'page:home: replace /title "Zäune"']]);
    expect(bench.say).toHaveBeenCalledWith('“körbe” became “Zäune” 1 time.');
  });

  it('lead to their place', async () => {
    const { open } = searching([at('/a')]);
    await userEvent.type(screen.getByLabelText('Search for'), 'körbe');
    await userEvent.click(await screen.findByRole('button', { name: /^Home · Hero, Headline/ }));
    expect(open).toHaveBeenCalledWith('home', 'hero-1');
  });

  it('that stand nowhere say so, and nothing can be replaced', async () => {
    searching([]);
    expect(screen.getByRole('button', { name: /^Replace/ })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Search for'), 'Kähne');
    expect(await screen.findByText('“Kähne” stands nowhere.')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: /^Replace/ })).toBeDisabled();
  });
});
