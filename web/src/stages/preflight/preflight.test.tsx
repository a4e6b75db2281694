import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Finding, Fix, Preflight } from '../../api/client';
import { answers, changesOf, draw, inSight, refused } from '../../testing';
import { FindingRow } from './FindingRow';
import { PreflightStage } from './PreflightStage';

vi.mock('../../sheet/PageFrame', () => ({ PageFrame: () => null })); // what a page looks like is the browser tests’

beforeEach(inSight);
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const FIXES = 'POST /api/brands/{brand_id}/preflight/fixes';
const REPORT = 'GET /api/brands/{brand_id}/preflight';
const finding = (more: Partial<Finding> = {}): Finding =>
  ({
    rule: 'contrast/text-minimum',
    code: 'text',
    outcome: 'fail',
    severity: 'stop',
    page: 'home',
    section: 'hero-1',
    target: 'heading',
    width: 1280,
    measured: 4.4999,
    required: 4.5,
    unit: ':1',
    message: 'The heading can hardly be read.',
    key: 'a',
    schemes: [],
    ...more,
  }) as Finding;
const note = finding({
  rule: 'type/lines',
  severity: 'note',
  key: 'b',
  message: 'Four lines.',
  unit: 'lines',
  measured: 4,
});
const RULES = [
  {
    id: 'contrast/text-minimum',
    rationale: 'Text has to be read.',
    references: { text: { standard: 'WCAG 2.2', level: 'AA', clause: '1.4.3' } },
  },
  { id: 'type/lines', rationale: 'Headlines are short.', references: {} },
] as unknown as Preflight['rules'];
const report = (...findings: Finding[]): Preflight =>
  ({
    counts: { pass: 1200, fail: findings.length },
    findings,
    rules: RULES,
    schemes: ['light', 'dark'],
    stopped: findings.length > 0,
    undrawn: [],
  }) as unknown as Preflight;
const fix = (label: string, more: Partial<Fix> = {}): Fix =>
  ({
    label,
    predicted: 7.129,
    changes: [{ document: 'choices', patch: [{ op: 'add', path: '/wires/a', value: 'weide' }] }],
    ...more,
  }) as Fix;

const GATES = 'GET /api/brands/{brand_id}/preflight/languages';

describe('the other languages of the site', () => {
  it('hold a release back by texts that wait and by what stops it there', async () => {
    const stop = { page: 'home', section: 'hero', message: 'Ein Wort passt nicht.', stops: true };
    const languages = [
      { code: 'de', name: 'Deutsch', missing: 12, stops: [stop], notes: 3 },
      { code: 'cy', name: 'Cymraeg', missing: 0, stops: [], notes: 0 },
    ];
    answers({ [REPORT]: report(), [GATES]: { languages } });
    draw(<PreflightStage />);
    await screen.findByText('12 texts to translate, 1 finding to mend');
    expect(screen.getByText('Not ready to release')).toBeInTheDocument();
    expect(screen.getByText('Ein Wort passt nicht.')).toBeInTheDocument();
    expect(screen.getByText('nothing stops it')).toBeInTheDocument();
    expect(screen.queryByRole('link', { name: 'Go to release' })).toBeNull();
    expect(screen.getAllByRole('link', { name: 'Go to its texts' })[0]).toHaveAttribute(
      'href',
      expect.stringMatching(/pages\?view=languages&language=de$/),
    );
  });

  it('are not told of where there are none', async () => {
    answers({ [REPORT]: report(), [GATES]: { languages: [] } });
    draw(<PreflightStage />);
    await screen.findByText('Ready to release');
    expect(screen.queryByText('In other languages')).toBeNull();
  });
});

describe('preflight', () => {
  it('counts by family, stops and notes apart, and shows one family', async () => {
    answers({ [REPORT]: report(finding(), note), [FIXES]: { there: true, fixes: [] } });
    draw(<PreflightStage />);
    await screen.findByText('Not ready to release');
    const row = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}`) });
    expect(['All findings', 'Contrast', 'Type'].map((name) => row(name).textContent)).toEqual([
      'All findings11',
      'Contrast10',
      'Type01',
    ]);
    expect(screen.getByText('2 findings')).toBeInTheDocument();
    await userEvent.click(row('Type'));
    expect(screen.getByText('1 finding')).toBeInTheDocument();
    expect(screen.queryByText('The heading can hardly be read.')).toBeNull();
    expect(screen.getByText(/^1,200 of 1,202 checks pass on 2 pages × 4 widths, light and dark/)).toBeInTheDocument();
  });

  it('says that all is well, and leads on', async () => {
    answers({ [REPORT]: report() });
    draw(<PreflightStage />);
    expect(await screen.findByText('Nothing found')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Go to release' })).toHaveAttribute('href', '/brands/one/release');
  });

  it('says why System counts more than stops here', async () => {
    answers({ [REPORT]: { ...report(), undrawn: ['Links on deep: no page has any there.'] } });
    draw(<PreflightStage />);
    expect(await screen.findByText('System counts 1 conflict that stop nothing here')).toBeInTheDocument();
    expect(screen.getByText('Links on deep: no page has any there.')).toBeInTheDocument();
  });

  it('that cannot be reached says so', async () => {
    answers({ [REPORT]: refused(403, 'You are not a member.') });
    draw(<PreflightStage />);
    expect(await screen.findByText('You are not a member.')).toBeInTheDocument();
  });

  it('takes a fix as one change, and the list has the focus then', async () => {
    answers({ [REPORT]: report(finding()), [FIXES]: { there: true, fixes: [fix('Heading in Weide')] } });
    const { bench } = draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Heading in Weide' }));
    expect(changesOf(bench)).toEqual([
      ['Heading in Weide: The heading can hardly be read.', 'choices: add /wires/a "weide"'],
    ]);
    expect(bench.say).toHaveBeenCalledWith('Done: Heading in Weide');
    expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'All findings' }));
  });

  it('does not say that a fix is done which was refused', async () => {
    answers({ [REPORT]: report(finding()), [FIXES]: { there: true, fixes: [fix('Heading in Weide')] } });
    const { bench } = draw(<PreflightStage />, { change: vi.fn(() => Promise.resolve(false)) });
    await userEvent.click(await screen.findByRole('button', { name: 'Heading in Weide' }));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Heading in Weide' })).toBeEnabled());
    expect(bench.say).not.toHaveBeenCalled();
  });

  it('lists two hundred findings, each once', async () => {
    const many = Array.from({ length: 200 }, (_, n) => finding({ key: `k${n}`, message: `Finding ${n}.` }));
    answers({ [REPORT]: report(...many), [FIXES]: { there: true, fixes: [] } });
    draw(<PreflightStage />);
    expect(await screen.findByText('200 findings')).toBeInTheDocument();
    expect(within(screen.getAllByRole('list').at(-1)!).getAllByRole('listitem')).toHaveLength(200);
  });
});

describe('a finding', () => {
  const row = (one: Finding, more: { current?: boolean; rule?: number } = {}) => {
    const take = vi.fn();
    const part = (
      <FindingRow finding={one} rule={RULES[more.rule ?? 0]} busy="" current={more.current ?? true} take={take} />
    );
    return { take, ...draw(part) };
  };

  it('gives measured and required figures, never rounded into a pass', async () => {
    answers({ [FIXES]: { there: true, fixes: [] } });
    row(finding());
    expect(document.querySelector('.figures')).toHaveTextContent('4.49measured, to 14.50at least1.4.3WCAG 2.2 AA');
    expect(screen.getByText(/Home · hero 1 · at 1280 px. Text has to be read./)).toBeInTheDocument();
    expect(screen.getByRole('heading')).toHaveTextContent('Stop: The heading can hardly be read.');
    await waitFor(() => expect(screen.queryByText('Working out fixes…')).toBeNull());
  });

  it.each([
    ['lines', 4, 3, '4lines3at most'],
    ['px', 31.26, 44, '31.2px44at least'],
    [':1', 3, 3, '3.00measured, to 13at least'],
  ])('in %s', async (unit, measured, required, shown) => {
    answers({ [FIXES]: { there: true, fixes: [] } });
    row(finding({ unit, measured, required }), { rule: 1 });
    expect(document.querySelector('.figures')).toHaveTextContent(shown);
    await waitFor(() => expect(screen.queryByText('Working out fixes…')).toBeNull());
  });

  it.each([
    [finding({ outcome: 'cannot-tell' }), 'Cannot tell: '],
    [note, 'Note: '],
  ])('is told by a word, and not by its mark alone', async (one, word) => {
    answers({ [FIXES]: { there: true, fixes: [] } });
    row(one);
    expect(screen.getByRole('heading').textContent).toBe(word + one.message);
    await waitFor(() => expect(screen.queryByText('Working out fixes…')).toBeNull());
  });

  it('of the pages before the last change asks for no fix', async () => {
    const asked = answers({ [FIXES]: { there: true, fixes: [] } });
    row(finding(), { current: false });
    await new Promise((settled) => setTimeout(settled, 20));
    expect(asked).toEqual([]);
  });

  it('that is no longer there says so', async () => {
    answers({ [FIXES]: { there: false, fixes: [] } });
    row(finding());
    expect(await screen.findByText('This is no longer found.')).toBeInTheDocument();
  });

  it('has its fixes worked out again where that failed', async () => {
    answers({ [FIXES]: refused(403, 'Not now.') });
    row(finding());
    const again = await screen.findByRole('button', { name: 'Work out fixes again' });
    vi.restoreAllMocks();
    answers({
      [FIXES]: { there: true, fixes: [fix('Heading in Weide'), fix('Heading in black', { predicted: null })] },
    });
    await userEvent.click(again);
    const best = await screen.findByRole('button', { name: 'Heading in Weide' });
    expect(best).toHaveAttribute('title', 'Then 7.12');
    expect(screen.getByRole('button', { name: 'Heading in black' })).not.toHaveAttribute('title');
  });
});
