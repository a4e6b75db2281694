import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Problem, type BrandCard } from '../api/client';
import { answers, draw, refused } from '../testing';
import { BrandList } from './BrandList';
import { ChangePassword } from './ChangePassword';
import { SignIn } from './SignIn';
import { Unopened } from './Unopened';

afterEach(() => vi.restoreAllMocks());

const PERSON = { username: 'anna', name: 'Anna' };
const card = (name: string, more: Partial<BrandCard> = {}): BrandCard =>
  ({ id: name, name, mark: '', colors: [], pages: 4, release: null, ...more }) as BrandCard;
const brands = (...cards: BrandCard[]) => answers({ 'GET /api/brands': { brands: cards } });

describe('the brands', () => {
  it('start with a way to make the first', async () => {
    const asked = answers({ 'GET /api/brands': { brands: [] }, 'POST /api/brands': { id: 'new' } });
    draw(<BrandList person={PERSON} />);
    const make = screen.getByRole('button', { name: 'Make the brand' });
    expect(make).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Name'), '   ');
    expect(make).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Name'), 'Παρατηρητήριο {Enter}');
    await waitFor(() => expect(screen.getByTestId('place')).toHaveTextContent('/brands/new/identity'));
    expect(asked).toContainEqual(['POST /api/brands', { name: 'Παρατηρητήριο' }]);
  });

  it('are all there when they are sixty, each with its colours and its release', async () => {
    brands(
      ...Array.from({ length: 60 }, (_, n) =>
        card(`Korb ${n}`, { release: n % 2 ? n : null, pages: n ? 4 : 1, colors: ['#c8a36a'] }),
      ),
    );
    draw(<BrandList person={PERSON} />);
    await screen.findByRole('button', { name: 'Delete Korb 59…' });
    const links = screen.getAllByRole('link');
    expect(links).toHaveLength(60);
    expect(links[59]).toHaveTextContent('Korb 59Korb 594 pages · r59 is live');
    expect(links[58]).toHaveTextContent('4 pages · not released yet');
    expect(links[0]).toHaveTextContent('1 page · not released yet');
    expect(links[0]).toHaveAttribute('href', '/brands/Korb 0');
  });

  it('say why they cannot be listed, and why one cannot be made', async () => {
    answers({
      'GET /api/brands': refused(403, 'You are in no workspace.'),
      'POST /api/brands': refused(413, 'The workspace is full.'),
    });
    draw(<BrandList person={PERSON} />);
    expect(await screen.findByRole('alert')).toHaveTextContent('You are in no workspace.');
    await userEvent.type(screen.getByLabelText('Name'), 'Weidling{Enter}');
    await waitFor(() => expect(screen.getAllByRole('alert').at(-1)).toHaveTextContent('The workspace is full.'));
    expect(screen.getByLabelText('Name')).toHaveValue('Weidling');
  });

  it('are deleted only when the name was typed', async () => {
    const asked = brands(card('Weidling & Töchter', { release: 2 }));
    draw(<BrandList person={PERSON} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Delete Weidling & Töchter…' }));
    const dialog = screen.getByRole('dialog', { name: 'Delete Weidling & Töchter?' });
    expect(dialog).toHaveTextContent('the live site among them');
    const go = within(dialog).getByRole('button', { name: 'Delete the brand' });
    const name = within(dialog).getByLabelText('Type the name to go on');
    await userEvent.type(name, 'Weidling{Enter}');
    expect(go).toBeDisabled();
    expect(asked.filter(([what]) => what.startsWith('DELETE'))).toEqual([]);
    await userEvent.type(name, ' & Töchter ');
    await userEvent.click(go);
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(asked.filter(([what]) => what.startsWith('DELETE'))).toHaveLength(1);
  });

  it('keep one whose deletion is refused, and say why', async () => {
    answers({
      'GET /api/brands': { brands: [card('Korb')] },
      'DELETE /api/brands/{brand_id}': refused(403, 'Only an owner deletes a brand.'),
    });
    draw(<BrandList person={PERSON} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Delete Korb…' }));
    await userEvent.type(screen.getByLabelText('Type the name to go on'), 'Korb{Enter}');
    expect(await screen.findByRole('alert')).toHaveTextContent('Only an owner deletes a brand.');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });
});

describe('one’s own password', () => {
  const fill = async (current: string, next: string) => {
    if (current) await userEvent.type(screen.getByLabelText('The password that you have now'), current);
    if (next) await userEvent.type(screen.getByLabelText('The new one, of 12 characters or more'), next);
  };
  const button = () => screen.getByRole('button', { name: 'Change it' });

  it('asks for the old one and twelve characters', async () => {
    answers({});
    draw(<ChangePassword username="anna" close={vi.fn()} />);
    await fill('', 'twelve chars!');
    expect(button()).toBeDisabled();
    await fill('old', '');
    expect(button()).toBeEnabled();
    await userEvent.clear(screen.getByLabelText('The new one, of 12 characters or more'));
    await fill('', 'eleven char');
    expect(button()).toBeDisabled();
  });

  it('is told when it is changed, and why it is not', async () => {
    const asked = answers({ 'POST /api/session/password': refused(400, 'That is not your password.') });
    draw(<ChangePassword username="anna" close={vi.fn()} />);
    await fill('wrong', 'a much longer one');
    await userEvent.click(button());
    expect(await screen.findByRole('alert')).toHaveTextContent('That is not your password.');
    vi.restoreAllMocks();
    answers({});
    await userEvent.click(button());
    expect(await screen.findByText(/Your password is changed/)).toBeInTheDocument();
    expect(asked).toEqual([['POST /api/session/password', { current: 'wrong', new: 'a much longer one' }]]);
  });

  it('tells programs that keep passwords whose it is', () => {
    answers({});
    draw(<ChangePassword username="anna" close={vi.fn()} />);
    const [name, now, next] = [...document.querySelectorAll('form input')] as HTMLInputElement[];
    expect([name?.autocomplete, name?.value]).toEqual(['username', 'anna']);
    expect([now?.autocomplete, next?.autocomplete]).toEqual(['current-password', 'new-password']);
  });
});

describe('signing in', () => {
  it('says why it is refused, and keeps the name', async () => {
    answers({ 'POST /api/session': refused(429, 'Too many tries. Wait ten minutes.', 'too-many') });
    draw(<SignIn />);
    await userEvent.type(screen.getByLabelText('Name'), 'anna');
    await userEvent.type(screen.getByLabelText('Password'), 'wrong{Enter}');
    expect(await screen.findByRole('alert')).toHaveTextContent('Too many tries.');
    expect(screen.getByLabelText('Name')).toHaveValue('anna');
    expect(screen.getByRole('button', { name: 'Sign in' })).toBeEnabled();
  });
});

describe('a brand that does not open', () => {
  const problem = (undo: unknown) => new Problem(409, 'unopenable', 'The page “Home” cannot be drawn.', { undo });
  const step = { entry: 12, label: 'Heading font chosen' };

  it('offers to take back the change that one has made', async () => {
    const asked = answers({ 'POST /api/brands/{brand_id}/undo': {} });
    const again = vi.fn();
    draw(<Unopened brandId="one" problem={problem(step)} again={again} />);
    expect(screen.getByRole('alert')).toHaveTextContent('The page “Home” cannot be drawn.');
    await userEvent.click(screen.getByRole('button', { name: 'Take back “Heading font chosen”' }));
    await waitFor(() => expect(again).toHaveBeenCalled());
    expect(asked).toEqual([['POST /api/brands/{brand_id}/undo', { entry: 12, anyway: false }]]);
  });

  it('says so where there is nothing to take back, and tries again', async () => {
    const again = vi.fn();
    draw(<Unopened brandId="one" problem={problem(null)} again={again} />);
    expect(screen.getByText(/There is no change of yours that could be taken back/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(again).toHaveBeenCalledTimes(1);
  });
});
