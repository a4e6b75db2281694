import { act, fireEvent, renderHook, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Problem, type Resolved, type Workbench } from '../api/client';
import { queryClient } from '../api/queries';
import { stampOf } from '../bench/documents';
import { answers, draw, IDENTITY, SYSTEM, workbench } from '../testing';
import { ChangedSince } from './ChangedSince';
import { ControlStrip } from './ControlStrip';
import { Notices } from './Notices';
import { StaleDialog } from './StaleDialog';
import { Ticket } from './Ticket';
import { useUndoKeys } from './useUndoKeys';

const stages = () => within(screen.getByRole('navigation', { name: 'Stages' })).getAllByRole('link');
const told = () => stages().map((one) => one.textContent);
const release = (number: number, live: boolean) =>
  ({
    number,
    live,
    created: '2026-03-01T10:00:00Z',
    author: 'Anna',
    passed: 90,
    files: 12,
  }) as Workbench['releases'][0];

describe('the head of the workbench', () => {
  it('tells the state of each stage, in the singular and in the plural', () => {
    const conflict = { path: 'a', cause: '' };
    draw(<Ticket stage="system" />, {
      brand: workbench({
        identity: { body: { ...IDENTITY, colors: [IDENTITY.colors![0]!] }, revision: 1 },
        releases: [release(3, false), release(2, true)],
        changed_since_release: true,
      }),
      // What only follows from another conflict is none of its own.
      system: { ...SYSTEM, conflicts: [conflict, { ...conflict, cause: 'a' }], counts: { stop: 1 } } as never,
    });
    expect(told()).toEqual([
      '1Identity1 colour, 1 fact',
      '2System1 conflict',
      '3Pages2 pages',
      '4Preflight1 stops the release',
      '5Releaser2 live, changed since',
    ]);
    expect(stages()[1]).toHaveAttribute('aria-current', 'page');
  });

  it('says what is missing of a brand of nothing but a name', () => {
    draw(<Ticket stage="identity" />, {
      brand: workbench({ identity: { body: { name: '木村' } as never, revision: 1 }, pages: [] }),
    });
    expect(told()[0]).toBe('1Identityno colours yet');
    expect(told()[4]).toBe('5Releasenot released yet');
    expect(screen.getByText('木村')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Release r1' })).toHaveAttribute('href', '/brands/one/release');
  });

  it('leads to preflight while something stops the release', () => {
    draw(<Ticket stage="pages" />, { system: { ...SYSTEM, counts: { stop: 26 } } as never });
    expect(screen.getByRole('link', { name: 'See what stops it' })).toHaveAttribute('href', '/brands/one/preflight');
    expect(told()[3]).toBe('4Preflight26 stop the release');
  });

  it('counts what a browser has seen, once preflight was asked; a drag as it is predicted', async () => {
    const brand = workbench();
    const { again } = draw(<Ticket stage="pages" />, { brand });
    expect(told()[3]).toBe('4Preflightnothing stops it');
    act(() => void queryClient.setQueryData(['preflight', brand.id, stampOf(brand)], { counts: { stop: 2 } }));
    await waitFor(() => expect(told()[3]).toBe('4Preflight2 stop the release'));
    again({ system: { ...SYSTEM, counts: { stop: 1 } } as never });
    expect(told()[3]).toBe('4Preflight1 stops the release');
  });

  it('names what undo takes back', () => {
    const step = { entry: 7, label: 'Bast renamed' };
    draw(<Ticket stage="pages" />, { brand: workbench({ history: { undo: step, redo: null } as never }) });
    expect(screen.getByRole('button', { name: 'Undo' }).title).toBe('Undo: Bast renamed (Ctrl+Z)');
    expect(screen.getByRole('button', { name: 'Redo' })).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Redo' }).title).toBe('Nothing of yours to redo');
  });

  it('lists the history, in which points are named', async () => {
    const entry = (id: number, label: string, more: object) => ({
      entry: id,
      label,
      author: 'Ben',
      at: '2026-11-02T10:00:00Z',
      step: 'change',
      holds: true,
      name: '',
      ...more,
    });
    const asked = answers({
      'GET /api/brands/{brand_id}/history': {
        entries: [
          entry(9, 'Taken back: Rounder', { step: 'undo' }),
          entry(8, 'Rounder', { holds: false, name: 'Monday' }),
        ],
      },
      'PUT /api/brands/{brand_id}/history/{entry_id}': {},
    });
    draw(<Ticket stage="pages" />);
    await userEvent.click(screen.getByRole('button', { name: 'History' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'History' }));
    expect(await dialog.findByText(/^Ben · .* · taken back$/)).toBeInTheDocument();
    expect(dialog.getByLabelText('Name of the point “Rounder”')).toHaveValue('Monday');
    await userEvent.type(dialog.getByLabelText('Name of the point “Taken back: Rounder”'), 'As shown{Enter}');
    expect(asked).toContainEqual(['PUT /api/brands/{brand_id}/history/{entry_id}', { name: 'As shown' }]);
  });

  it('asks before something is taken back over another’s change', async () => {
    const answer = vi.fn();
    draw(<ChangedSince />, { asked: { way: 'undo', text: 'Ben has changed the same place since.' }, answer });
    expect(screen.getByRole('dialog', { name: 'Take it back all the same?' })).toHaveTextContent('Ben has changed');
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(answer.mock.calls).toEqual([[true], [false]]);
  });

  it('lets a reviewer look and not undo', () => {
    const step = { entry: 7, label: 'Bast renamed' };
    draw(<Ticket stage="pages" />, {
      canWrite: false,
      brand: workbench({ history: { undo: step, redo: null } as never }),
    });
    expect(screen.getByText('You may look, not change')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
});

describe('the strip of contrast', () => {
  const pair = (ground: string, ink: string, ratio: number) => ({
    ground,
    ink,
    ratio,
    required: 4.5,
    foreground: '#000000',
    background: '#ffffff',
    exempt: false,
    scheme: 'light',
  });
  const system = {
    ...SYSTEM,
    pairs: [pair('paper', 'body', 12.04), pair('deep', 'link', 4.499)],
    uses: [
      { ground: 'paper', ink: 'body', count: 9 },
      { ground: 'deep', ink: 'link', count: 1 },
    ],
  } as unknown as Resolved;

  it('counts what fails, and never rounds a failure up', () => {
    draw(<ControlStrip stage="pages" />, { system });
    expect(screen.getByText('1 of 2 fails')).toBeInTheDocument();
    const patches = screen.getAllByRole('button');
    expect(patches.map((one) => one.textContent)).toEqual([
      'Link on deep, l4.4 ✕ to 1, needs 4.5, fails, 1 use',
      'Text on paper, a12.0 to 1, needs 4.5, passes, 9 uses',
    ]);
  });

  it('lights the uses of a patch, and puts them out', async () => {
    const { bench, again } = draw(<ControlStrip stage="pages" />, { system });
    const patch = () => screen.getByRole('button', { name: /^Link on deep/ });
    await userEvent.click(patch());
    expect(bench.light).toHaveBeenLastCalledWith({ ground: 'deep', ink: 'link' });
    again({ lit: { ground: 'deep', ink: 'link' } });
    expect(patch()).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(patch());
    expect(bench.light).toHaveBeenLastCalledWith(null);
    expect(screen.getByTestId('place')).toHaveTextContent('/here');
  });

  it('goes where uses can be seen from where they cannot', async () => {
    draw(<ControlStrip stage="preflight" />, { system });
    await userEvent.click(screen.getByRole('button', { name: /^Text on paper/ }));
    expect(screen.getByTestId('place')).toHaveTextContent('/brands/one/pages');
  });

  it('stands there without any pair', () => {
    draw(<ControlStrip stage="pages" />);
    expect(screen.getByText('0 pairs in use')).toBeInTheDocument();
    expect(screen.getByText('0 of 0 fail')).toBeInTheDocument();
  });
});

describe('notices', () => {
  afterEach(() => {
    vi.useRealTimers();
  });

  it('go by themselves, but errors stay', () => {
    vi.useFakeTimers();
    const close = vi.fn();
    const { unmount } = draw(<Notices />, { notice: { text: 'Done', undo: true }, close });
    expect(screen.getByRole('status')).toHaveTextContent('Done');
    act(() => vi.advanceTimersByTime(8000));
    expect(close).toHaveBeenCalledTimes(1);
    unmount();
    draw(<Notices />, { error: 'The server cannot be reached.', close });
    act(() => vi.advanceTimersByTime(60_000));
    expect(close).toHaveBeenCalledTimes(1);
    expect(screen.getByRole('alert')).toHaveTextContent('The server cannot be reached.');
  });

  it('offer undo only where it would take back what they speak of', async () => {
    const first = draw(<Notices />, { notice: { text: 'Downloaded', undo: false } });
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    first.unmount();
    const { bench } = draw(<Notices />, { notice: { text: 'Taken out', undo: true } });
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(bench.undo).toHaveBeenCalledTimes(1);
  });
});

describe('keys of undo', () => {
  const press = (target: EventTarget, more: KeyboardEventInit) =>
    fireEvent.keyDown(target as Element, { key: 'z', ctrlKey: true, ...more });

  it('work everywhere but where a text is written', () => {
    const undo = vi.fn(() => Promise.resolve());
    const redo = vi.fn(() => Promise.resolve());
    renderHook(() => useUndoKeys(undo, redo));
    const make = (html: string) => {
      const box = document.createElement('div');
      box.innerHTML = html;
      document.body.append(box);
      return box.firstElementChild!;
    };
    press(document.body, {});
    press(make('<input type="range">'), {});
    press(make('<input type="checkbox">'), { metaKey: true, ctrlKey: false });
    expect(undo).toHaveBeenCalledTimes(3);
    for (const html of ['<input>', '<input type="number">', '<textarea></textarea>', '<p contenteditable>a</p>'])
      press(make(html), {});
    expect(undo).toHaveBeenCalledTimes(3);
    press(document.body, { shiftKey: true, key: 'Z' });
    press(document.body, { key: 'y' });
    expect(redo).toHaveBeenCalledTimes(2);
    press(document.body, { altKey: true });
    press(document.body, { ctrlKey: false });
    expect([undo.mock.calls.length, redo.mock.calls.length]).toEqual([3, 2]);
  });
});

describe('a change that came too late', () => {
  const since = [
    {
      label: 'Bast renamed',
      author: 'Ben',
      at: '',
      patch: [{ op: 'replace', path: '/colors/0/name', value: 'Stroh' }],
    },
    { label: 'Weide taken out', author: '', at: '', patch: [{ op: 'remove', path: '/colors/1' }] },
  ];
  const stale = {
    problem: new Problem(409, 'stale', 'Ben has changed this in the meantime.', { changed: since }),
    label: 'Bast darker',
    changes: [{ document: 'identity', patch: [{ op: 'replace' as const, path: '/colors/0/value', value: '#8A6A3A' }] }],
  };

  it('shows theirs and one’s own, and makes one’s own again when asked', async () => {
    const { bench } = draw(<StaleDialog />, { stale });
    const dialog = screen.getByRole('dialog', { name: 'Somebody was faster' });
    expect(dialog).toHaveTextContent('Bast renamed (Ben) 0 name: “Stroh”');
    expect(dialog).toHaveTextContent('Weide taken out colors 1: taken out');
    expect(dialog).toHaveTextContent('Bast darker 0 value: “#8A6A3A”');
    await userEvent.click(screen.getByRole('button', { name: 'Make mine again' }));
    expect(bench.settle).toHaveBeenCalledWith(true);
  });

  it('leaves theirs without a change', async () => {
    const { bench } = draw(<StaleDialog />, { stale });
    await userEvent.click(screen.getByRole('button', { name: 'Leave theirs' }));
    expect(bench.settle).toHaveBeenCalledWith(false);
    expect(bench.change).not.toHaveBeenCalled();
  });
});
