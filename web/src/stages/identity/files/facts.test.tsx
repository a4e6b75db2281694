import { fireEvent, render, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Fact, Sources } from '../../../api/client';
import { pieced } from '../../../api/queries';
import { droppedFiles } from './dropped';
import { FactList } from './FactList';
import { FileList } from './FileList';
import type { Intake } from './useIntake';

const evidence = (file: string) => [
  { file, place: 'page 1', value: '', count: 2, share: 0.4, sure: 0.9, indicative: false, approximate: false },
];
const fact = (id: string, label: string, values: string[], more: Partial<Fact> = {}): Fact => ({
  id,
  group: 'colors',
  label,
  variants: values.map((value, index) => ({ value, evidence: evidence(`file-${index}.pdf`) })),
  sure: 0.9,
  role: '',
  note: '',
  state: 'open',
  taken: [],
  usable: true,
  data: {},
  ...more,
});
const sources = (facts: Fact[], more: Partial<Sources> = {}): Sources => ({
  revision: 1,
  files: [],
  outdated: 0,
  state: 'now',
  base: '',
  order: [],
  progress: { state: 'idle', done: 0, total: 0 },
  groups: [{ id: 'colors', label: 'Colours' }],
  facts,
  missing: [],
  questions: [],
  character: '',
  ...more,
});
const intake = (): Intake => ({
  sending: 0,
  add: vi.fn(() => Promise.resolve()),
  cancel: vi.fn(() => Promise.resolve()),
  again: vi.fn(() => Promise.resolve()),
  remove: vi.fn(() => Promise.resolve()),
  decide: vi.fn(() => Promise.resolve(true)),
  leave: vi.fn(() => Promise.resolve()),
});
const NO_FILE = { file: '', all: vi.fn() };
const ALL = { only: '', show: vi.fn() };
const night = fact('color-1', 'Night', ['#1B2147', '#1C2248']);
const lamp = fact('color-2', 'Lamp', ['#F2A93B'], { sure: 0.4 });

describe('facts', () => {
  it('are pieced together of those that are held and those that an answer has', () => {
    const held = sources([night, lamp], { state: 'one' });
    const other = { ...lamp, state: 'accepted' } as Fact;
    const answer = sources([other], { state: 'two', base: 'one', order: ['color-2', 'color-1'] });
    expect(pieced(held, answer).facts).toEqual([other, night]);
    expect(pieced(held, sources([other], { base: '' })).facts).toEqual([other]);
    expect(pieced(undefined, sources([other])).facts).toEqual([other]);
    const gone = sources([], { state: 'three', base: 'one', order: ['color-1'] });
    expect(pieced(held, gone).facts).toEqual([night]);
  });

  it('are looked for by what they say and by their files; marks and counts are those of what is shown', () => {
    render(<FactList sources={sources([night, lamp])} intake={intake()} disabled={false} {...NO_FILE} />);
    const search = screen.getByRole('searchbox', { name: 'Look for facts' });
    const seen = () => screen.queryAllByRole('checkbox', { name: /,/ }).map((one) => one.getAttribute('aria-label'));
    expect(seen()).toHaveLength(2);
    fireEvent.change(search, { target: { value: 'LÀMP #f2' } });
    expect(seen()).toEqual(['Lamp, #F2A93B, undecided']);
    expect(screen.getByRole('heading', { name: /Colours/ })).toHaveTextContent('Colours1');
    fireEvent.change(search, { target: { value: 'file-1' } });
    expect(seen()).toEqual(['Night, #1B2147 or #1C2248, undecided']);
    fireEvent.change(search, { target: { value: 'willow' } });
    expect(screen.getByRole('status')).toHaveTextContent('No fact holds “willow”.');
  });

  it('are those of one file or of one group, with how many there are', () => {
    const line = fact('word-strapline', 'Strapline', ['Look up.'], { group: 'words' });
    const both = sources([night, lamp, line], {
      groups: [
        { id: 'colors', label: 'Colours' },
        { id: 'words', label: 'Words' },
      ],
    });
    const all = vi.fn();
    const { rerender } = render(
      <FactList sources={both} intake={intake()} disabled={false} file="file-1.pdf" all={all} />,
    );
    const seen = () => screen.queryAllByRole('checkbox', { name: /,/ }).length;
    expect(seen()).toBe(1);
    expect(screen.getByText(/^Only what/)).toHaveTextContent('Only what file-1.pdf says.');
    fireEvent.click(screen.getByRole('button', { name: 'all files' }));
    expect(all).toHaveBeenCalledOnce();
    rerender(<FactList sources={both} intake={intake()} disabled={false} {...NO_FILE} />);
    const groups = screen.getByLabelText('Which facts');
    expect([...groups.querySelectorAll('option')].map((one) => one.textContent)).toEqual([
      'All 3',
      'Colours 2',
      'Words 1',
    ]);
    fireEvent.change(groups, { target: { value: 'words' } });
    expect(seen()).toBe(1);
    expect(screen.queryByRole('heading', { name: /Colours/ })).toBeNull();
    rerender(<FactList sources={both} intake={intake()} disabled={false} file="empty.txt" all={all} />);
    expect(screen.getByRole('status')).toHaveTextContent('This file says nothing that a reader knows.');
  });

  it('are shown for a file that is pressed, and for all when it is pressed again', () => {
    const show = vi.fn();
    const card = {
      id: 1,
      name: 'texts/about.md',
      format: 'Markdown',
      size: 900,
      state: 'read',
      found: 4,
      problem: '',
      notes: [],
    };
    const held = sources([night], { files: [card] });
    const { rerender } = render(<FileList sources={held} intake={intake()} disabled={false} only="" show={show} />);
    fireEvent.click(screen.getByRole('button', { name: 'Only what texts/about.md says' }));
    rerender(<FileList sources={held} intake={intake()} disabled={false} only="texts/about.md" show={show} />);
    expect(screen.getByRole('button', { name: 'Only what texts/about.md says' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Only what texts/about.md says' }));
    expect(show.mock.calls).toEqual([['texts/about.md'], ['']]);
  });

  it('of files that earlier readers have read can be had again', () => {
    const tool = intake();
    const { rerender } = render(<FileList sources={sources([night])} intake={tool} disabled={false} {...ALL} />);
    expect(screen.queryByText(/More is understood/)).toBeNull();
    rerender(<FileList sources={sources([night], { outdated: 3 })} intake={tool} disabled={false} {...ALL} />);
    fireEvent.click(screen.getByRole('button', { name: 'Read 3 files again' }));
    expect(tool.again).toHaveBeenCalledTimes(1);
  });

  it('moves by arrows and decides by letters', () => {
    const tool = intake();
    render(<FactList sources={sources([night, lamp])} intake={tool} disabled={false} {...NO_FILE} />);
    const first = screen.getByRole('checkbox', { name: 'Night, #1B2147 or #1C2248, undecided' });
    first.focus();
    fireEvent.keyDown(first, { key: 'ArrowDown' });
    const second = screen.getByRole('checkbox', { name: 'Lamp, #F2A93B, undecided' });
    expect(document.activeElement).toBe(second);
    fireEvent.keyDown(second, { key: 'r' });
    expect(tool.decide).toHaveBeenCalledWith([{ fact: 'color-2', action: 'reject', values: [], name: '', role: '' }]);
  });

  it('decides on all that are marked, in one request', () => {
    const tool = intake();
    render(<FactList sources={sources([night, lamp])} intake={tool} disabled={false} {...NO_FILE} />);
    fireEvent.click(screen.getByRole('button', { name: 'Mark all of Colours' }));
    fireEvent.click(screen.getByRole('button', { name: 'Lock' }));
    const asked = vi.mocked(tool.decide).mock.calls[0]?.[0] ?? [];
    expect(asked.map((one) => [one.fact, one.action])).toEqual([
      ['color-1', 'lock'],
      ['color-2', 'lock'],
    ]);
  });

  it('offers the values of a disagreement, one or both', () => {
    const tool = intake();
    render(<FactList sources={sources([night])} intake={tool} disabled={false} {...NO_FILE} />);
    const values = screen.getByRole('group', { name: 'Values of Night' });
    fireEvent.click(within(values).getByRole('button', { name: '#1C2248' }));
    fireEvent.click(within(values).getByRole('button', { name: 'keep both' }));
    const calls = vi.mocked(tool.decide).mock.calls.map((call) => call[0][0]?.values);
    expect(calls).toEqual([['#1C2248'], ['#1B2147', '#1C2248']]);
  });

  it('leaves a locked fact alone until it is unlocked', () => {
    const tool = intake();
    render(
      <FactList
        sources={sources([{ ...night, state: 'locked', taken: ['#1B2147'] }])}
        intake={tool}
        disabled={false}
        {...NO_FILE}
      />,
    );
    expect(screen.getByRole<HTMLButtonElement>('button', { name: '#1C2248' }).disabled).toBe(true);
    expect(screen.queryByRole('button', { name: 'Reject Night' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Unlock Night' }));
    expect(vi.mocked(tool.decide).mock.calls[0]?.[0][0]?.action).toBe('unlock');
  });

  it('takes a correction in words', () => {
    const tool = intake();
    const line = fact('word-strapline', 'Strapline', ['Look up.'], { group: 'words' });
    const all = sources([line], { groups: [{ id: 'words', label: 'Words' }] });
    render(<FactList sources={all} intake={tool} disabled={false} {...NO_FILE} />);
    const field = screen.getByLabelText('Value of Strapline');
    fireEvent.change(field, { target: { value: 'Look higher.' } });
    fireEvent.blur(field);
    expect(vi.mocked(tool.decide).mock.calls[0]?.[0][0]).toMatchObject({ action: 'accept', values: ['Look higher.'] });
  });

  it('leaves the name out of the surest, since the brand has one', () => {
    const name = fact('word-name', 'Name', ['Hex, Print'], { data: { field: 'name' } });
    render(<FactList sources={sources([night, name])} intake={intake()} disabled={false} {...NO_FILE} />);
    fireEvent.click(screen.getByRole('button', { name: 'Mark the 1 surest' }));
    expect(screen.getByRole('checkbox', { name: /^Night/ })).toBeChecked();
    expect(screen.getByRole('checkbox', { name: /^Name/ })).not.toBeChecked();
  });

  it('marks the surest only', () => {
    render(<FactList sources={sources([night, lamp])} intake={intake()} disabled={false} {...NO_FILE} />);
    fireEvent.click(screen.getByRole('button', { name: 'Mark the 1 surest' }));
    expect(screen.getByText('1 marked')).toBeTruthy();
  });
});

describe('files', () => {
  const file = (name: string, state: string, problem = '') => ({
    id: 1,
    name,
    format: 'PNG',
    size: 1_500_000,
    state,
    found: 3,
    problem,
    notes: [],
  });

  it('shows progress and cancels', () => {
    const tool = intake();
    const busy = sources([], { progress: { state: 'reading', done: 3, total: 9 }, files: [file('a/b.png', 'read')] });
    render(<FileList sources={busy} intake={tool} disabled={false} {...ALL} />);
    expect(screen.getByText('Read 3 of 9')).toBeTruthy();
    expect(screen.getByText('PNG, 3 found · 1.5 MB')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Cancel reading' }));
    expect(tool.cancel).toHaveBeenCalled();
  });

  it('tells what could not be read', () => {
    const failed = sources([], { files: [file('b.png', 'failed', 'b.png: the picture is broken. Export it again.')] });
    render(<FileList sources={failed} intake={intake()} disabled={false} {...ALL} />);
    expect(screen.getByText('b.png: the picture is broken. Export it again.')).toBeTruthy();
  });
});

describe('a drop', () => {
  const entryOf = (name: string, inside?: unknown[]): unknown => ({
    name,
    isFile: !inside,
    isDirectory: Boolean(inside),
    file: (done: (file: File) => void) => done(new File(['x'], name)),
    createReader: () => {
      // A reader gives its entries in parts, and an empty part at the end.
      const parts = [inside?.slice(0, 1) ?? [], inside?.slice(1) ?? [], []];
      return { readEntries: (done: (some: unknown[]) => void) => done(parts.shift() ?? []) };
    },
  });

  it('walks through folders and leaves hidden files', async () => {
    const folder = entryOf('brand', [entryOf('logo', [entryOf('a.svg')]), entryOf('.hidden'), entryOf('b.css')]);
    const transfer = { items: [{ webkitGetAsEntry: () => folder }], files: [] } as unknown as DataTransfer;
    const found = await droppedFiles(transfer);
    expect(found.map((one) => one.path)).toEqual(['brand/logo/a.svg', 'brand/b.css']);
  });

  it('takes plain files as they are', async () => {
    const transfer = {
      items: [{ webkitGetAsEntry: () => null }],
      files: [new File(['x'], 'a.svg')],
    } as unknown as DataTransfer;
    expect((await droppedFiles(transfer)).map((one) => one.path)).toEqual(['a.svg']);
  });
});
