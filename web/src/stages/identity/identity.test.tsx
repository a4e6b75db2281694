import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answers, changesOf, draw, IDENTITY, refused, workbench } from '../../testing';
import { LineList } from './brief/LineList';
import { Colors } from './Colors';
import { SiteLanguage } from './SiteLanguage';

afterEach(() => vi.restoreAllMocks());

const READ = 'POST /api/colors';
const paste = async (text: string) => {
  fireEvent.change(screen.getByRole('textbox', { name: /colours$/ }), { target: { value: text } });
  await userEvent.click(screen.getByRole('button', { name: 'Add colours' }));
};
const pasted = () => screen.getByRole('textbox', { name: /colours$/ });
const without = () => workbench({ identity: { body: { name: 'Weidling' } as never, revision: 1 } });

describe('exact colours', () => {
  it('start with a place to paste them', () => {
    answers({});
    draw(<Colors />, { brand: without() });
    expect(screen.getByLabelText('Paste the brand’s colours')).toHaveAttribute('rows', '4');
    expect(screen.getByRole('button', { name: 'Add colours' })).toBeDisabled();
  });

  it('are added in one change, and no two have one name', async () => {
    const colors = [
      { name: 'Bast', value: '#a07a3a' },
      { name: '', value: '#123456' },
      { name: 'Bast', value: '#b08a4a' },
    ];
    answers({ [READ]: { colors, problems: [] } });
    const { bench } = draw(<Colors />);
    await paste('Bast #a07a3a …');
    await waitFor(() => expect(pasted()).toHaveValue(''));
    expect(changesOf(bench)).toEqual([
      [
        '3 colours added',
        'identity: add /colors/- {"name":"Bast 2","value":"#a07a3a"}',
        'identity: add /colors/- {"name":"#123456","value":"#123456"}',
        'identity: add /colors/- {"name":"Bast 3","value":"#b08a4a"}',
      ],
    ]);
  });

  it('that could not be read are told, and the text stays', async () => {
    answers({ [READ]: { colors: [{ name: 'Rost', value: '#8a3a1a' }], problems: ['“#12” is no colour.'] } });
    draw(<Colors />);
    await paste('Rost #8a3a1a\n#12');
    expect(await screen.findByRole('alert')).toHaveTextContent('“#12” is no colour.');
    expect(pasted()).toHaveValue('Rost #8a3a1a\n#12');
  });

  it('says what a text without a colour lacks', async () => {
    answers({ [READ]: { colors: [], problems: [] } });
    const { bench } = draw(<Colors />);
    await paste('warm and honest');
    expect(await screen.findByRole('alert')).toHaveTextContent('There is no colour in that text.');
    expect(changesOf(bench)).toEqual([]);
  });

  it('stay in the field where the change was refused', async () => {
    answers({ [READ]: { colors: [{ name: 'Rost', value: '#8a3a1a' }], problems: [] } });
    const { bench } = draw(<Colors />, { change: vi.fn(() => Promise.resolve(false)) });
    await paste('Rost #8a3a1a');
    await waitFor(() => expect(bench.change).toHaveBeenCalled());
    expect(pasted()).toHaveValue('Rost #8a3a1a');
  });

  it('are added by Ctrl+Enter', async () => {
    const asked = answers({ [READ]: { colors: [], problems: [] } });
    draw(<Colors />);
    await userEvent.type(pasted(), 'Rost{Enter}#8a3a1a{Control>}{Enter}{/Control}');
    expect(await screen.findByRole('alert')).toBeInTheDocument();
    expect(asked).toEqual([[READ, { text: 'Rost\n#8a3a1a' }]]);
  });

  it('that are locked can only be unlocked', async () => {
    answers({});
    const { bench } = draw(<Colors />);
    expect(screen.getByLabelText('Value of Weide')).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Take out Weide' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'locked: Weide' }));
    await userEvent.click(screen.getByRole('button', { name: 'lock: Bast' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take out Bast' }));
    expect(changesOf(bench)).toEqual([
      ['Weide unlocked', 'identity: replace /colors/1/locked false'],
      ['Bast locked', 'identity: replace /colors/0/locked true'],
      ['Colour Bast taken out', 'identity: remove /colors/0'],
    ]);
  });

  it('are renamed where they stand', async () => {
    answers({});
    const { bench } = draw(<Colors />);
    const name = screen.getByLabelText('Name of colour 1');
    await userEvent.clear(name);
    await userEvent.type(name, 'Ξύλο{Enter}');
    expect(changesOf(bench)).toEqual([['Colour renamed', 'identity: replace /colors/0/name "Ξύλο"']]);
  });
});

describe('lists of short texts', () => {
  const pages = ['Preise', 'a/b~c'];
  const brand = workbench({ identity: { body: { ...IDENTITY, pages }, revision: 1 } as never });
  const list = (more: object = {}) =>
    draw(<LineList list="pages" title="Pages wanted" placeholder="Prices" suggest />, { brand, ...more });

  it('are added to, changed, and taken out when emptied', async () => {
    answers({});
    const { bench } = list();
    await userEvent.type(screen.getByLabelText('Pages wanted, another'), 'Zäune{Enter}');
    await userEvent.type(screen.getByLabelText('Pages wanted, 1'), ' 2026{Enter}');
    await userEvent.clear(screen.getByLabelText('Pages wanted, 2'));
    await userEvent.tab();
    await userEvent.click(screen.getByRole('button', { name: 'Take out a/b~c' }));
    expect(changesOf(bench)).toEqual([
      ['Zäune added', 'identity: add /pages/- "Zäune"'],
      ['Preise 2026 changed', 'identity: replace /pages/0 "Preise 2026"'],
      ['a/b~c taken out', 'identity: remove /pages/1'],
      ['a/b~c taken out', 'identity: remove /pages/1'],
    ]);
  });

  it('offer what is usual for such an organisation, and not what is there', async () => {
    answers({});
    const own = { ...IDENTITY, pages: ['About'] };
    const { bench } = list({ brand: workbench({ identity: { body: own, revision: 1 } as never }) });
    expect(screen.queryByRole('button', { name: 'About' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Prices' }));
    expect(changesOf(bench)).toEqual([['Page Prices wanted', 'identity: add /pages/- "Prices"']]);
  });

  it('are not a reviewer’s', () => {
    answers({ [READ]: refused(403, 'no') });
    list({ canWrite: false });
    expect(screen.getByLabelText('Pages wanted, another')).toBeDisabled();
    expect(screen.getAllByRole('button').filter((one) => !(one as HTMLButtonElement).disabled)).toEqual([]);
  });
});

describe('the language of the site', () => {
  const within = (language?: string) =>
    workbench({ identity: { body: { ...IDENTITY, language }, revision: 1 } as never });
  const choose = (option: string) => userEvent.selectOptions(screen.getByLabelText('Language of the site'), option);

  it('is chosen by its name, and says what Formulon writes in it', async () => {
    const { bench, unmount } = draw(<SiteLanguage />, { brand: within() });
    expect(screen.getByLabelText('Language of the site')).toHaveValue('en-GB');
    expect(screen.getByText(/^What Formulon writes/)).toBeInTheDocument();
    await choose('Greek, Ελληνικά');
    expect(changesOf(bench)).toEqual([['The site is in Greek', 'identity: add /language "el"']]);
    unmount();
    draw(<SiteLanguage />, { brand: within('el') });
    expect(screen.getByText(/writes no sentences in it yet/)).toBeInTheDocument();
  });

  it('that Formulon has no words in says so', () => {
    draw(<SiteLanguage />, { brand: within('is') });
    expect(screen.getByText(/come in English until you write them/)).toBeInTheDocument();
  });

  it('can be any other, by its code', async () => {
    const { bench } = draw(<SiteLanguage />, { brand: within('cy') });
    expect(screen.getByLabelText('Language of the site')).toHaveValue('cy');
    await choose('another, by its code…');
    await userEvent.type(screen.getByLabelText('Code of the language'), 'fr-CA{Enter}');
    expect(changesOf(bench)).toEqual([['The site is in fr-CA', 'identity: add /language "fr-CA"']]);
    expect(screen.queryByLabelText('Code of the language')).toBeNull();
  });

  it('that it has already is no change, and is not a reviewer’s', async () => {
    const { bench, unmount } = draw(<SiteLanguage />, { brand: within('el') });
    await choose('Greek, Ελληνικά');
    expect(changesOf(bench)).toEqual([]);
    unmount();
    draw(<SiteLanguage />, { brand: within('el'), canWrite: false });
    expect(screen.getByLabelText('Language of the site')).toBeDisabled();
  });
});
