import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { StyleProposals } from '../../api/client';
import { answers, changesOf, draw, inSight, workbench } from '../../testing';
import { StyleFacet } from './StyleFacet';
import { StyleWall } from './StyleWall';
import { useStyleChoice } from './useStyleChoice';

const LIST = 'GET /api/brands/{brand_id}/styles';
const PREVIEW = 'GET /api/brands/{brand_id}/styles/{number}/preview';
const TAKE = 'POST /api/brands/{brand_id}/styles';

const part = (id: string, name: string, more = {}) => ({
  id,
  name,
  decided: '',
  as_it_came: true,
  settled: false,
  seen: 0.384,
  ...more,
});
const styles = (first = 1, next = 9): StyleProposals =>
  ({
    proposals: [0, 1, 2].map((index) => ({
      number: first + index,
      name: `Calm ${first + index}`,
      parts: [
        { part: 'type', says: `Family ${first + index}.` },
        { part: 'scale', says: 'Steps grow by 1.25.' },
      ],
    })),
    parts: [
      part('type', 'Typefaces'),
      part('scale', 'Type scale', { seen: 0.001 }),
      part('corners', 'Corners', { decided: 'It was set by hand.', as_it_came: false }),
    ],
    next,
  }) as unknown as StyleProposals;

function Both() {
  const choice = useStyleChoice(true);
  return (
    <>
      <StyleFacet choice={choice} />
      <StyleWall choice={choice} />
    </>
  );
}

beforeEach(inSight);
afterEach(() => vi.restoreAllMocks());

describe('style proposals', () => {
  it('stand side by side, and one is told part by part with what stays', async () => {
    answers({ [LIST]: styles(), [PREVIEW]: { html: '<p>page</p>' } });
    draw(<Both />);
    expect(await screen.findByRole('heading', { name: 'Style 1: Calm 1' })).toBeInTheDocument();
    const wall = screen.getByRole('list', { name: 'Styles side by side' });
    expect(within(wall).getAllByRole('listitem')).toHaveLength(3);
    expect(screen.getByText('Stays. It was set by hand.')).toBeInTheDocument();
    expect(screen.getByRole('checkbox', { name: 'Corners' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: '2 Calm 2' }));
    expect(screen.getByRole('heading', { name: 'Style 2: Calm 2' })).toBeInTheDocument();
    expect(screen.getAllByText('Family 2.').length).toBeGreaterThan(0);
  });

  it('tell what is still as it came, with how much of it is seen', async () => {
    answers({ [LIST]: styles(), [PREVIEW]: { html: '' } });
    draw(<Both />);
    const came = within(await screen.findByRole('region', { name: 'Still as it came' })).getAllByRole('listitem');
    expect(came.map((one) => one.querySelector('b')?.textContent)).toEqual([
      'Typefaces 38 % of what is seen',
      'Type scale seen in moving',
    ]);
  });

  it('are taken whole, in parts or one part alone, by one write', async () => {
    const asked = answers({ [LIST]: styles(), [PREVIEW]: { html: '' }, [TAKE]: {} });
    draw(<Both />, { revision: () => 2 });
    await userEvent.click(await screen.findByRole('button', { name: 'Take this style' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Typefaces' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take these parts' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take Typefaces alone' }));
    const bodies = asked.filter(([what]) => what === TAKE).map(([, body]) => body);
    expect(bodies).toEqual([
      { number: 1, parts: ['type', 'scale'], revision: 2 },
      { number: 1, parts: ['scale'], revision: 2 },
      { number: 1, parts: ['type'], revision: 2 },
    ]);
  });

  it('settle a part, and open it again', async () => {
    answers({
      [LIST]: { ...styles(), parts: [part('type', 'Typefaces'), part('scale', 'Type scale', { settled: true })] },
      [PREVIEW]: { html: '' },
    });
    const brand = workbench();
    brand.choices.body.settled = ['scale'];
    const { bench } = draw(<Both />, { brand });
    await userEvent.click(await screen.findByRole('button', { name: 'Settle Typefaces as it is' }));
    await userEvent.click(screen.getByRole('button', { name: 'Open again' }));
    expect(changesOf(bench)).toEqual([
      ['Typefaces settled', 'choices: add /settled ["scale","type"]'],
      ['Type scale open again', 'choices: add /settled []'],
    ]);
  });

  it('show others and those before, and nothing to take to who may not write', async () => {
    const asked = answers({ [LIST]: styles(1, 9), [PREVIEW]: { html: '' } });
    draw(<Both />, { canWrite: false });
    await screen.findByRole('heading', { name: 'Style 1: Calm 1' });
    expect(screen.getByRole('button', { name: 'Take this style' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Others' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Those before' }));
    expect(asked.filter(([what]) => what === LIST).length).toBeGreaterThanOrEqual(2);
  });
});
