import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Resolved } from '../../api/client';
import { changesOf, choicesOf, draw, IDENTITY, SYSTEM, workbench, type MadeUp } from '../../testing';
import { PolicyBar } from '../system/PolicyBar';
import { StepEditor } from './StepEditor';
import { StepRow } from './StepRow';

const STEP = {
  name: 'h2',
  role: 'heading',
  family: 'inter',
  weight: 600,
  small: 28,
  large: 40.25,
  line_height: 1.15,
  tracking: -0.012,
  case: 'none',
} as Resolved['steps'][number];

function editor(more: Partial<MadeUp> = {}, largest = 0, name = 'h2') {
  return draw(<StepEditor name={name} step={{ ...STEP, name }} largest={largest} />, more);
}
const put = (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};
const stepsOf = (bench: MadeUp) =>
  vi
    .mocked(bench.change)
    .mock.calls.map(([label, [one]]) => [label, one?.patch[0]?.value as Record<string, object>] as const);

describe('a step of the scale', () => {
  it('takes numbers within their bounds, and leaves what was not written alone', () => {
    const { bench } = editor();
    put('Phone, px of h2', '500');
    put('Desktop, px of h2', '2');
    put('Line height of h2', '1.4');
    put('Tracking, em of h2', '');
    put('Weight of h2', '600');
    put('Tracking, em of h2', 'wide');
    expect(stepsOf(bench).map(([label, steps]) => [label, steps['h2']])).toEqual([
      ['Phone of h2', expect.objectContaining({ small: 160, large: null, weight: null })],
      ['Desktop of h2', expect.objectContaining({ large: 9 })],
      ['Line height of h2', expect.objectContaining({ line_height: 1.4, case: null })],
    ]);
  });

  it('keeps what other steps have of their own, and follows the scale again', async () => {
    const own = { font: null, small: 30, large: null, weight: null, line_height: null, tracking: null, case: null };
    const choices = choicesOf({ scale: { steps: { h1: own, h2: own } } } as never);
    const { bench } = editor({ choices });
    await userEvent.selectOptions(screen.getByLabelText('Case'), 'uppercase');
    expect(stepsOf(bench)[0]?.[1]).toEqual({ h1: own, h2: { ...own, case: 'uppercase' } });
    await userEvent.click(screen.getByRole('button', { name: 'Follow the scale' }));
    expect(stepsOf(bench)[1]).toEqual(['h2 follows the scale', { h1: own }]);
  });

  it('puts the old number back on Escape', async () => {
    const { bench } = editor();
    const field = screen.getByLabelText('Weight of h2');
    await userEvent.clear(field);
    await userEvent.type(field, '900{Escape}');
    expect(field).toHaveValue(600);
    expect(changesOf(bench)).toEqual([]);
  });

  it('takes the largest size with three lines in one click, and says when it has it', async () => {
    const { bench, unmount } = editor({}, 34.5);
    await userEvent.click(screen.getByRole('button', { name: 'Largest with three lines on a phone: 34.5 px' }));
    expect(stepsOf(bench)[0]?.[1]['h2']).toMatchObject({ small: 34.5 });
    unmount();
    editor({}, 28);
    expect(screen.getByRole('button', { name: '28 px is the largest with three lines' })).toBeDisabled();
  });

  it('offers a third typeface only where the brand has one, and none for running text', () => {
    const first = editor();
    expect(screen.queryByRole('option', { name: 'Labels' })).toBeNull();
    first.unmount();
    const body = { ...IDENTITY, typefaces: { heading: 'inter', body: 'inter', third: 'caveat' } };
    const second = editor({ brand: workbench({ identity: { body, revision: 1 } as never }) });
    expect(screen.getByRole('option', { name: 'Labels' })).toBeInTheDocument();
    second.unmount();
    editor({}, 0, 'body');
    expect(screen.queryByLabelText('Typeface')).toBeNull();
  });

  it('is not a reviewer’s', () => {
    editor({ canWrite: false });
    expect(screen.getByRole('group', { name: 'What is set for h2' })).toBeDisabled();
  });
});

describe('how a step’s texts fit', () => {
  const system = { ...SYSTEM, steps: [STEP] } as unknown as Resolved;
  const drawRow = (fit: unknown, more: Partial<MadeUp> = {}) =>
    draw(
      <table>
        <tbody>
          <StepRow name="h2" fit={fit as never} open={false} toggle={vi.fn()} />
        </tbody>
      </table>,
      { system, ...more },
    );

  it('is shown with its longest text at both ends', () => {
    drawRow({
      largest: 0,
      texts: [{ text: 'Wäschekörbe', lines: { 360: 3, 1280: 1 }, characters: { 360: 11.6, 1280: 24 } }],
      lines: { 360: { 1: 4, 3: 1, 4: 2 }, 1280: { 1: 7 } },
    });
    expect(screen.getAllByText('Wäschekörbe')).toHaveLength(2);
    expect(screen.getByText(/28.0 px/)).toHaveTextContent('28.0 px · 3 lines of 12');
    expect(screen.getByText(/40.3 px/)).toHaveTextContent('40.3 px · 1 line');
    const spread = screen.getByRole('img', { name: '4 × 1 line, 1 × 3 lines, 2 × 4 lines' });
    expect([...spread.children].map((one) => one.className)).toEqual(['', '', 'is-long']);
  });

  it('shows the brand’s own words where no text is set in it', () => {
    drawRow(undefined);
    expect(screen.getAllByText('Körbe aus eigener Weide')).toHaveLength(2);
    expect(screen.queryByRole('img')).toBeNull();
  });

  it('is nothing for a step that the system does not have', () => {
    drawRow(undefined, { system: SYSTEM });
    expect(screen.queryByRole('row')).toBeNull();
  });
});

describe('what colours are held to', () => {
  it('is AA, AAA or ratios of one’s own; what is chosen already is no change', async () => {
    const { bench } = draw(<PolicyBar />);
    await userEvent.click(screen.getByRole('button', { name: 'AA' }));
    await userEvent.click(screen.getByRole('button', { name: 'AAA' }));
    await userEvent.click(screen.getByRole('button', { name: 'own' }));
    expect(changesOf(bench)).toEqual([
      ['Held to AAA', 'choices: add /policy "AAA"'],
      ['Held to own ratios', 'choices: add /policy "own"'],
    ]);
    expect(screen.queryByRole('group', { name: 'Ratios of your own' })).toBeNull();
  });

  it('keeps own ratios within their bounds, with a comma or a point', async () => {
    const thresholds = { text: 6, large: 4, boundary: 3 };
    const { bench } = draw(<PolicyBar />, { choices: choicesOf({ policy: 'own', thresholds }) });
    for (const [label, text] of [
      ['Text', '6,5'],
      ['Large', '9'],
      ['Boundaries', '1'],
      ['Text', 'much'],
      ['Text', '6'],
    ] as const) {
      await userEvent.clear(screen.getByLabelText(label));
      await userEvent.type(screen.getByLabelText(label), `${text}{Enter}`);
    }
    expect(changesOf(bench)).toEqual([
      ['Text held to 6.5:1', 'choices: add /thresholds {"text":6.5,"large":4,"boundary":3}'],
      ['Large held to 4.5:1', 'choices: add /thresholds {"text":6,"large":4.5,"boundary":3}'],
    ]);
    expect(screen.getByLabelText('Text')).toHaveValue('6');
  });

  it('has links underlined unless it says otherwise, and pages in one scheme or both', async () => {
    const { bench } = draw(<PolicyBar />);
    expect(screen.getByLabelText('links underlined')).toBeChecked();
    await userEvent.click(screen.getByLabelText('links underlined'));
    await userEvent.selectOptions(screen.getByRole('combobox'), 'both');
    expect(changesOf(bench)).toEqual([
      ['Links without underline', 'choices: add /links/underlined false'],
      ['Pages as the visitor has it', 'choices: add /scheme "both"'],
    ]);
  });
});
