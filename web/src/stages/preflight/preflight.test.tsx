import { act, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Finding, Fix, Preflight } from '../../api/client';
import { answers, changesOf, draw, inSight, refused, workbench } from '../../testing';
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
  { id: 'type/lines', rationale: 'Headlines are short.', references: {}, bound: 'most' },
] as unknown as Preflight['rules'];
const report = (...findings: Finding[]): Preflight =>
  ({
    counts: { pass: 1200, fail: findings.length },
    findings,
    rules: RULES,
    schemes: ['light', 'dark'],
    stopped: findings.length > 0,
    undrawn: [],
    measuring: { total: 2, done: 0, waiting: 0, failed: [] },
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
    expect(
      screen.getByText(/^1,200 of 1,202 checks pass on 2 pages × 4 widths as predicted, light and dark/),
    ).toBeInTheDocument();
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

  it('asks for the reason of a departure and keeps it with the section', async () => {
    const changes = [{ document: 'page:home', patch: [{ op: 'add', path: '/sections/0/reason', value: '…' }] }];
    const keep = fix('Keep as a departure, because …', { asks: 'Why it departs', changes, predicted: null });
    answers({ [REPORT]: report(finding()), [FIXES]: { there: true, fixes: [keep] } });
    const { bench } = draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('button', { name: keep.label }));
    expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Why it departs'), ' It is the anniversary {Enter}');
    expect(changesOf(bench)).toEqual([
      [
        'Keep as a departure, because …: The heading can hardly be read.',
        'page:home: add /sections/0/reason "It is the anniversary"',
      ],
    ]);
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
    ['lines', 4, 3, 1, '4lines3at most'],
    ['px', 31.26, 44, 0, '31.2px44at least'],
    ['px', 2.01, 2, 1, '2.1px2at most'],
    ['', 4, null, 1, '4measured'],
    [':1', 3, 3, 0, '3.00measured, to 13at least'],
  ])('in %s, %d of %d', async (unit, measured, required, rule, shown) => {
    answers({ [FIXES]: { there: true, fixes: [] } });
    row(finding({ unit, measured, required }), { rule });
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

const MEASURING = 'GET /api/brands/{brand_id}/preflight/measuring';
const MENDINGS = 'GET /api/brands/{brand_id}/preflight/mendings';
const SESSION = 'GET /api/session';

describe('what mends most', () => {
  it('tells what one change ends, and takes it as one step', async () => {
    const many = [finding(), finding({ key: 'c', page: 'kontakt', message: 'And this.' }), note];
    const ends = [
      { page: 'home', key: 'a' },
      { page: 'kontakt', key: 'c' },
    ];
    const mending = { ...fix('Heading in Weide'), ends, makes: [], stops: 0, left: 0 };
    answers({
      [REPORT]: report(...many),
      [FIXES]: { there: true, fixes: [] },
      [MENDINGS]: { mendings: [mending, { ...mending, label: 'Only one', ends: ends.slice(1) }] },
    });
    const { bench } = draw(<PreflightStage />);
    const part = within(await screen.findByRole('region', { name: 'One change would mend most' }));
    expect(part.getByText(/^Ends 2 findings on 2 pages, makes none; nothing stops the release then/)).toBeVisible();
    expect(part.queryByText('Only one')).toBeNull();
    await userEvent.click(part.getByRole('button', { name: 'Take it' }));
    expect(changesOf(bench)).toEqual([['Heading in Weide, on the whole site', 'choices: add /wires/a "weide"']]);
  });

  it('gives way to pages and rules, and of a rule all are mended at once', async () => {
    const many = [finding(), finding({ key: 'c', page: 'kontakt' }), note];
    const asked = answers({
      [REPORT]: report(...many),
      [FIXES]: { there: true, fixes: [] },
      [MENDINGS]: { mendings: [] },
      'POST /api/brands/{brand_id}/preflight/all-of': {
        ...fix('2 findings mended'),
        ends: [],
        makes: [],
        stops: 0,
        left: 1,
      },
    });
    const { bench } = draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('button', { name: 'By page' }));
    expect(screen.getByRole('region', { name: 'Home' })).toBeVisible();
    expect(within(screen.getByRole('region', { name: 'Home' })).getAllByRole('listitem')).toHaveLength(2);
    expect(screen.queryByRole('button', { name: /^Mend all/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'By rule' }));
    await userEvent.click(screen.getByRole('button', { name: 'Mend all 2' }));
    expect(asked.find(([what]) => what.endsWith('all-of'))?.[1]).toEqual({ rule: 'contrast/text-minimum' });
    await waitFor(() => expect(bench.say).toHaveBeenCalledWith('Done: 2 findings mended, 1 left'));
    expect(changesOf(bench)).toHaveLength(1);
  });
});

describe('a fix under the pointer or the keyboard', () => {
  it('is tried: the page with it, and what it comes to', async () => {
    const asked = answers({
      [REPORT]: report(finding()),
      [FIXES]: { there: true, fixes: [fix('Heading in Weide')] },
      'POST /api/brands/{brand_id}/pages/{page_id}/foreseen': { html: '<p>With it</p>' },
      'POST /api/brands/{brand_id}/preflight/weigh': {
        ...fix('Heading in Weide'),
        ends: [{ page: 'home', key: 'a' }],
        makes: [note],
        stops: 3,
        left: 0,
      },
    });
    const { bench } = draw(<PreflightStage />);
    (await screen.findByRole('button', { name: 'Heading in Weide' })).focus();
    expect(await screen.findByText(/^Ends 1 finding on 1 page, makes 1 note; 3 stops left then/)).toBeVisible();
    expect(screen.getByText('with the fix')).toBeInTheDocument();
    expect(asked.find(([what]) => what.endsWith('weigh'))?.[1]).toEqual({
      label: 'Heading in Weide',
      changes: fix('').changes,
    });
    expect(bench.change).not.toHaveBeenCalled();
    act(() => screen.getByRole('link', { name: 'Go to the page' }).focus());
    await waitFor(() => expect(screen.queryByText('with the fix')).toBeNull());
  });
});

describe('a waiver', () => {
  it('needs a reason, and is given in one’s own name, today', async () => {
    answers({
      [REPORT]: report(finding({ mark: '0123456789abcdef' })),
      [FIXES]: { there: true, fixes: [] },
      [SESSION]: { person: { username: 'anna', name: 'Anna' } },
    });
    const { bench } = draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Waive…' }));
    expect(screen.getByRole('button', { name: 'Waive' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Why it may stay as it is'), 'As the client asked.');
    await userEvent.click(screen.getByRole('button', { name: 'Waive' }));
    const [label, changes] = vi.mocked(bench.change).mock.calls[0]!;
    expect(label).toBe('Waived: The heading can hardly be read.');
    expect(changes).toMatchObject([
      {
        document: 'checks',
        patch: [
          {
            op: 'add',
            path: '/waivers/-',
            value: { reason: 'As the client asked.', by: 'Anna', mark: '0123456789abcdef' },
          },
        ],
      },
    ]);
    expect((changes[0]?.patch[0]?.value as { on: string }).on).toBe(new Date().toISOString().slice(0, 10));
  });

  it('is told with who gave it and why, apart, and can be taken back', async () => {
    const waived = { reason: 'As the client asked.', by: 'Ben', on: '2026-03-01' };
    const checks = { weights: {}, notes_hold: false, measured: true, waivers: [{ mark: 'x' }, { mark: 'y' }] };
    answers({ [REPORT]: { ...report(finding({ waived, mark: 'y' })), counts: { pass: 3, fail: 1, waived: 1 } } });
    const { bench } = draw(<PreflightStage />, {
      brand: workbench({ checks: { body: checks, revision: 1 } as never }),
    });
    await screen.findByText('Ready to release');
    expect(screen.getByText(/What is left is waived/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /^Waived/ }));
    expect(screen.getByText('Waived by Ben on 1 Mar 2026: “As the client asked.”')).toBeVisible();
    expect(screen.getByRole('heading', { name: /The heading can hardly/ })).toHaveTextContent('Waived: ');
    await userEvent.click(screen.getByRole('button', { name: 'Take the waiver back' }));
    expect(changesOf(bench)).toEqual([
      ['Waiver taken back: The heading can hardly be read.', 'checks: remove /waivers/1'],
    ]);
  });
});

describe('looking in the browser', () => {
  it('is begun, shows how far it is, and is cancelled', async () => {
    const told = (done: number, waiting: number) => ({ total: 2, done, waiting, failed: [] });
    const known: Record<string, unknown> = {
      [REPORT]: report(),
      [MEASURING]: told(0, 0),
      'POST /api/brands/{brand_id}/preflight/measuring': told(1, 1),
      'DELETE /api/brands/{brand_id}/preflight/measuring': told(1, 0),
    };
    answers(known);
    draw(<PreflightStage />);
    const start = await screen.findByRole('button', { name: 'Look in the browser' });
    known[MEASURING] = told(1, 1);
    await userEvent.click(start);
    expect(await screen.findByRole('progressbar', { name: 'Pages measured' })).toHaveValue(1);
    known[MEASURING] = told(1, 0);
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(await screen.findByText('1 page changed since seen')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Look again' })).toBeVisible();
  });

  it('says what could not be seen, and offers what would mend what nothing predicted', async () => {
    const failed = [{ page: 'home', problem: 'index.html: the page cannot be drawn (it takes too long).' }];
    const known: Record<string, unknown> = {
      [REPORT]: report(finding({ basis: 'measured' })),
      [MEASURING]: { total: 2, done: 1, waiting: 0, failed },
      'POST /api/brands/{brand_id}/preflight/measuring': { total: 2, done: 1, waiting: 1, failed: [] },
      [FIXES]: { there: true, fixes: [fix('Take the nearest colours', { predicted: null })] },
    };
    answers(known);
    const { bench } = draw(<PreflightStage />);
    expect(await screen.findByText(/^Home: index.html: the page cannot be drawn/)).toBeVisible();
    expect(screen.getByText(/at 1280 px · seen in the browser\./)).toBeVisible();
    const offered = await screen.findByRole('button', { name: 'Take the nearest colours' });
    expect(offered).toHaveAttribute('title', 'The browser looks again after it, and tells what it comes to');
    known[MEASURING] = { total: 2, done: 1, waiting: 1, failed: [] };
    await userEvent.click(offered);
    expect(changesOf(bench)).toHaveLength(1);
    // It looks again by itself.
    expect(await screen.findByRole('progressbar', { name: 'Pages measured' })).toBeVisible();
  });
});

describe('the rules', () => {
  it('are looked through and weighed, but for those that a standard fixes', async () => {
    const rules = RULES.map((one, index) => ({
      ...one,
      title: ['Text can be read', 'Headlines are short'][index],
      severity: ['stop', 'note'][index],
      own: ['stop', 'note'][index],
      fixed: index === 0,
    }));
    answers({ [REPORT]: { ...report(), rules } });
    const { bench } = draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('tab', { name: 'Rules' }));
    expect(screen.getByText('Stop, always')).toBeVisible();
    await userEvent.selectOptions(screen.getByLabelText('Weight of: Headlines are short'), 'Off');
    await userEvent.click(screen.getByLabelText(/Notes hold a release back/));
    expect(changesOf(bench)).toEqual([
      ['Headlines are short: off', 'checks: add /weights/type~1lines "off"'],
      ['Notes hold a release back', 'checks: add /notes_hold true'],
    ]);
    await userEvent.type(screen.getByRole('searchbox'), 'read');
    expect(screen.queryByText('Headlines are short')).toBeNull();
  });
});

describe('the old site', () => {
  const BEFORE = 'GET /api/brands/{brand_id}/preflight/before';
  const before = (total: number, done: number, ...findings: Finding[]) => ({
    measuring: { total, done, waiting: 0, failed: [] },
    counts: {},
    findings,
    found: findings.length + 3,
  });

  it('that there is none of says what to do', async () => {
    answers({ [REPORT]: report(), [BEFORE]: before(0, 0) });
    draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('tab', { name: 'Old site' }));
    expect(await screen.findByText(/Add the pages of the site/)).toBeVisible();
  });

  it('is looked at, and stands beside what there is now', async () => {
    const known: Record<string, unknown> = { [REPORT]: report(note), [BEFORE]: before(2, 0) };
    known['POST /api/brands/{brand_id}/preflight/before'] = before(2, 2, finding({ page: 'old.html' }), note);
    known[FIXES] = { there: true, fixes: [] };
    answers(known);
    draw(<PreflightStage />);
    await userEvent.click(await screen.findByRole('tab', { name: 'Old site' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Look at the old site' }));
    expect(await screen.findByText('2 pages of the old site among the files, 2 seen in the browser.')).toBeVisible();
    const rows = within(screen.getByRole('tabpanel')).getAllByRole('row');
    expect(rows.map((row) => row.textContent)).toEqual([
      'Stops and notesBeforeNow',
      'All1 · 10 · 1',
      'Contrast1 · 00 · 0',
      'Type0 · 10 · 1',
    ]);
    expect(screen.getByText('old.html · 1280 px')).toBeVisible();
    expect(screen.getByText('and 3 findings more.')).toBeVisible();
  });
});
