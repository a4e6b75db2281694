import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw, IDENTITY, workbench } from '../../testing';
import { ASKS, held, isWhole, type Rule } from './asked';
import { Material } from './Material';
import { Rules } from './Rules';

afterEach(() => vi.restoreAllMocks());

const SAID = 'Shadows are not allowed.';
const rule = (more: Partial<Rule>): Rule => ({ rule: 'as said', text: SAID, values: { about: 'shape' }, ...more });
const withRules = (...rules: Rule[]) => workbench({ identity: { body: { ...IDENTITY, rules }, revision: 1 } as never });
const list = (...rules: Rule[]) =>
  draw(
    <ul>
      <Rules />
    </ul>,
    { brand: withRules(...rules) },
  );

describe('a rule that is kept as it is said', () => {
  it('is held once somebody says what it asks', async () => {
    answers({});
    const { bench } = list(rule({}));
    await userEvent.click(screen.getByRole('button', { name: /^(Make it a check|change): / }));
    const form = screen.getByRole('form');
    expect(within(form).getByRole('button', { name: 'Hold it' })).toBeDisabled();
    await userEvent.click(await within(form).findByLabelText('shadows'));
    await userEvent.click(within(form).getByRole('button', { name: 'Hold it' }));
    expect(changesOf(bench)).toEqual([
      [
        `Rule held: ${SAID}`,
        `identity: replace /rules/0 {"rule":"not used","text":"${SAID}","values":{"what":["shadows"]}}`,
      ],
    ]);
  });

  it('asks for two colours of the brand, or for words, and can be left as it is', async () => {
    answers({});
    const { bench } = list(rule({}));
    await userEvent.click(screen.getByRole('button', { name: /^(Make it a check|change): / }));
    await userEvent.selectOptions(screen.getByLabelText('It asks that'), 'forbidden pair');
    await userEvent.selectOptions(screen.getByLabelText('Words in'), 'Bast');
    await userEvent.selectOptions(screen.getByLabelText('on'), 'Bast');
    expect(screen.getByRole('button', { name: 'Hold it' })).toBeDisabled();
    await userEvent.selectOptions(screen.getByLabelText('on'), 'Weide');
    await userEvent.click(screen.getByRole('button', { name: 'Hold it' }));
    await userEvent.click(screen.getByRole('button', { name: /^(Make it a check|change): / }));
    await userEvent.selectOptions(screen.getByLabelText('It asks that'), 'words to avoid');
    await userEvent.type(screen.getByLabelText(/^The words/), 'Hamper, Korb ,');
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('form')).toBeNull();
    expect(changesOf(bench)).toEqual([
      [
        `Rule held: ${SAID}`,
        `identity: replace /rules/0 {"rule":"forbidden pair","text":"${SAID}","values":{"ink":"Bast","ground":"Weide"}}`,
      ],
    ]);
  });

  it.each([
    [rule({ rule: 'not used', values: { what: ['shadows', 'motion'] } }), 'no shadows, no motion'],
    [rule({ rule: 'forbidden pair', values: { ink: 'Bast', ground: 'Weide' } }), 'never Bast on Weide'],
    [rule({ rule: 'clear space', values: { share: 0.25, of: 'height' } }), '25 % of its height around the mark'],
    [rule({ rule: 'least size', values: { px: 24, mark: 'symbol', side: 'width' } }), 'symbol from 24 px'],
    [rule({ rule: 'proportions', values: { Bast: 60, Weide: 40 } }), 'Bast 60 %, Weide 40 %'],
    [rule({ rule: 'tone', values: { wanted: ['calm'], unwanted: ['loud'] } }), 'calm, not loud'],
    [
      rule({ rule: 'buttons and links', values: { button: 'outlined', 'button radius': 40 } }),
      'button: outlined, button radius: 40 px',
    ],
    [rule({}), ''],
  ])('says what it is held to', (one, told) => {
    expect(held(one)).toBe(told);
  });

  it('is held only when it says all that its kind needs', () => {
    expect(ASKS.filter((one) => isWhole(one.id, {}))).toEqual([]);
  });
});

describe('the texts of the files', () => {
  const texts = [
    { heading: 'Preise', text: 'Korb: 38 €', source: 'texte/preise.odt' },
    { heading: '', text: 'Wir flechten.\nSeit jeher.', source: 'brief.md' },
  ];
  const brand = workbench({ identity: { body: { ...IDENTITY, texts }, revision: 1 } as never });
  const told = (waits: string[]) => ({
    'GET /api/brands/{brand_id}/material': {
      texts: [
        { number: 0, places: [['home', 'cards-1']], waits: [] },
        { number: 1, places: [], waits },
      ],
    },
  });

  it('say what waits, lead to what stands, and can be put on a page', async () => {
    answers({
      ...told(['Wir flechten.', 'Seit jeher.']),
      'POST /api/brands/{brand_id}/structure': {
        label: 'Long text added',
        changes: [],
        leads: [],
        page: 'home',
        section: '',
      },
    });
    draw(<Material />, { brand });
    expect(await screen.findByText(/1 text of 2 waits for a place/)).toBeInTheDocument();
    expect(screen.getByText('Wir flechten. · Seit jeher.')).toBeInTheDocument();
    expect(screen.queryByText('Preise')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'show all' }));
    expect(screen.getByRole('link', { name: /Home/ })).toHaveAttribute(
      'href',
      expect.stringContaining('section=cards-1'),
    );
    await userEvent.selectOptions(screen.getByLabelText(/Put “Wir flechten/), 'kontakt');
  });

  it('are all told to stand, and go with their cross', async () => {
    answers(told([]));
    const { bench } = draw(<Material />, { brand });
    expect(await screen.findByText(/2 texts, and all of them stand/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'show all' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take out the text Preise' }));
    expect(changesOf(bench)).toEqual([['Text “Preise” taken out', 'identity: remove /texts/0']]);
  });
});
