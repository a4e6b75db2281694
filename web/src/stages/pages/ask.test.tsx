import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw, refused } from '../../testing';
import { Ask } from './Ask';

const INSTRUCTIONS = 'POST /api/brands/{brand_id}/instructions';
const NOTHING = { label: '', changes: [], differences: [], leads: [], page: '', section: '', suggestions: [] };
const MEANT = {
  ...NOTHING,
  said: 'Hero stands on deep.',
  label: '“on deep”',
  changes: [{ document: 'page:home', patch: [{ op: 'replace', path: '/sections/0/ground', value: 'deep' }] }],
  differences: [{ page: 'Home', section: 'hero-1', slot: 'ground', named: 'Hero', before: 'paper', after: 'deep' }],
  page: 'home',
  section: 'hero-1',
};

function asking(answer: unknown, more: object = {}) {
  const asked = answers({ [INSTRUCTIONS]: answer });
  const done = vi.fn();
  const texts = [{ path: 'heading', label: 'Headline' }];
  const props = { page: 'home', section: 'hero-1', texts, text: 'heading', disabled: false, done, ...more };
  return { asked, done, ...draw(<Ask {...props} />) };
}
const type = (words: string) => userEvent.type(screen.getByLabelText('Ask for a change'), words);

describe('a change that is asked for in words', () => {
  it('is looked at first, then made as one step and named by the words', async () => {
    const { asked, bench, done } = asking(MEANT);
    await userEvent.selectOptions(screen.getByLabelText('What it is about'), '');
    await type('on deep{Enter}');
    expect(asked).toEqual([[INSTRUCTIONS, { text: 'on deep', page: 'home', section: 'hero-1', slot: '' }]]);
    const answer = within(screen.getByRole('status'));
    expect(answer.getByText('Hero stands on deep.')).toBeInTheDocument();
    expect(answer.getByRole('listitem')).toHaveTextContent('Home · Hero · groundpaperdeep');
    expect(changesOf(bench)).toEqual([]);
    await userEvent.keyboard('{Enter}'); // as the button does
    expect(answer.queryByRole('button', { name: 'Do it' })).toBeNull();
    expect(changesOf(bench)).toEqual([['“on deep”', 'page:home: replace /sections/0/ground "deep"']]);
    expect(done).toHaveBeenCalledWith('home', 'hero-1');
    expect(screen.getByLabelText('Ask for a change')).toHaveValue('');
  });

  it('is about the text that was worked on, unless another is chosen', async () => {
    const { asked } = asking(MEANT);
    await type('shorter{Enter}');
    expect(asked[0]?.[1]).toMatchObject({ slot: 'heading' });
  });

  it('is left by Escape or by other words, and nothing is changed', async () => {
    const { bench } = asking(MEANT);
    await type('on deep{Enter}');
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByText('Hero stands on deep.')).toBeNull();
    await type('!{Enter}');
    await type('x');
    expect(screen.queryByRole('button', { name: 'Do it' })).toBeNull();
    expect(changesOf(bench)).toEqual([]);
  });

  it('that is not understood is answered with what is near, which can be taken', async () => {
    const said = '“wormer” is not understood.';
    const { asked } = asking({ ...NOTHING, said, suggestions: ['hide', 'swap sides'] });
    await type('wormer{Enter}');
    expect(screen.getByText(said)).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Do it' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'swap sides' }));
    expect(asked[1]?.[1]).toMatchObject({ text: 'swap sides' });
  });

  it('says what led to what is taken away, and reports a refusal', async () => {
    const lead = { found_in: 'content', page: 'home', section: 'a', label: 'Zum Anfang', to: 'page:home#hero-1' };
    const { unmount } = asking({ ...MEANT, leads: [lead] });
    await type('take out{Enter}');
    expect(screen.getByText('What led there leads on: Zum Anfang.')).toBeInTheDocument();
    unmount();
    const { bench } = asking(refused(409, 'Somebody was faster.'));
    await type('hide{Enter}');
    expect(bench.report).toHaveBeenCalled();
  });
});
