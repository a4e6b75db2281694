import { beforeEach, describe, expect, it, vi } from 'vitest';
import { client, type Change, type Changed, type Choices, type Resolved, type Workbench } from '../api/client';
import { choicesOf, PAGES, SYSTEM, workbench } from '../testing';
import type { Shown } from './bench';
import type { Foreseen } from './foreseen';
import { BenchStore } from './store';

type Call = {
  path: string;
  body: Record<string, unknown>;
  state: string;
  signal?: AbortSignal | undefined;
  answer: (data: unknown) => void;
};

/** A store with a server that answers when it is told to, and what was shown of it. */
function opened(brand: Workbench = workbench()) {
  const calls: Call[] = [];
  vi.spyOn(client, 'POST').mockImplementation(
    ((
      path: string,
      options: { body: Record<string, unknown>; headers?: Record<string, string>; signal?: AbortSignal },
    ) =>
      new Promise((resolve) =>
        calls.push({
          path: path.replace('/api/brands/{brand_id}/', ''),
          body: options.body,
          signal: options.signal,
          state: options.headers?.['Formulon-State'] ?? '',
          answer: (data) =>
            resolve(
              data instanceof Response
                ? { error: { code: data.statusText, title: 'No.', possible: true }, response: data }
                : { data, response: new Response() },
            ),
        }),
      )) as never,
  );
  const ports = {
    restyle: vi.fn<(css: string) => void>(),
    painted: () => Promise.resolve(),
    keep: vi.fn<(brand: Workbench) => void>(),
    drawn: vi.fn<(page: Foreseen, now: Workbench) => void>(),
    load: vi.fn(() => Promise.resolve(workbench({ state: 'loaded' }))),
    signedOut: vi.fn(),
  };
  const store = new BenchStore(brand, ports);
  const seen: Shown[] = [];
  store.subscribe(() => seen.push(store.shown));
  const call = async (path: string, index = 0) =>
    vi.waitFor(() => {
      const found = calls.filter((one) => one.path === path)[index];
      if (!found) throw new Error(`${path} was not asked`);
      return found;
    });
  const told = <T>(what: (shown: Shown) => T) =>
    seen.map(what).filter((value, index, all) => JSON.stringify(value) !== JSON.stringify(all[index - 1]));
  return { store, ports, calls, call, told };
}

const refused = (status: number, code = 'refused') => new Response('', { status, statusText: code });
const radius = (value: number): Change[] => [
  { document: 'choices', patch: [{ op: 'replace', path: '/radius', value }] },
];
const title = (value: string): Change[] => [
  { document: 'page:home', patch: [{ op: 'replace', path: '/title', value }] },
];
const stored = (state: string, more: Partial<Changed> = {}): Changed =>
  ({ state, base: 'first', ...more }) as unknown as Changed;
const choicesStored = (value: number, revision: number): Changed =>
  stored(`r${value}`, { choices: { body: choicesOf({ radius: value } as Partial<Choices>), revision } });
const css = (text: string) => ({ schemes: ['light'], css: text, css_dark: '' });
const quick = (system: object) => ({ ...SYSTEM, ...system }) as Resolved;

beforeEach(() => vi.restoreAllMocks());

describe('a change of choices', () => {
  it('shows from the start, and what was before never comes back while it is stored', async () => {
    const { store, call, told } = opened();
    const done = store.change('Radius', radius(9));
    expect(store.shown.choices.radius).toBe(9);
    (await call('style')).answer(css('nine'));
    (await call('changes')).answer(choicesStored(9, 3));
    expect(await done).toBe(true);
    expect(told((shown) => shown.choices.radius)).toEqual([9]);
    expect(store.revision('choices')).toBe(3);
  });

  it('restyles pages before it is sent to be stored, and not again with the answer', async () => {
    const { store, ports, call } = opened();
    const done = store.change('Radius', radius(9));
    (await call('style')).answer(css('nine'));
    (await call('changes')).answer({ ...choicesStored(9, 3), system: css('nine') });
    await done;
    const drawn = ports.restyle.mock.calls.map(([text]) => text);
    expect(drawn.filter((text, index) => text !== drawn[index - 1])).toEqual(['', 'nine']);
  });

  it('that is refused is taken back, and said', async () => {
    const { store, call, told } = opened();
    const done = store.change('Radius', radius(9));
    (await call('style')).answer(css('nine'));
    (await call('changes')).answer(refused(422));
    expect(await done).toBe(false);
    expect(told((shown) => shown.choices.radius ?? 0)).toEqual([9, 0]);
    expect(store.shown.error).toBe('No.');
    expect(store.shown.saving).toBe(false);
  });

  it('is being saved from the moment at which it was asked for, until it is answered', async () => {
    const { store, call, told } = opened();
    const done = store.change('Radius', radius(9));
    expect(store.shown.saving).toBe(true);
    (await call('style')).answer(css('nine'));
    (await call('changes')).answer(choicesStored(9, 3));
    await done;
    expect(told((shown) => shown.saving)).toEqual([true, false]);
  });

  it('waits for the one before it, is based on the revision that this one made, and is saved last', async () => {
    const { store, call, calls } = opened();
    const both = [store.change('Radius', radius(9)), store.change('Radius', radius(11))];
    expect(store.shown.choices.radius).toBe(11);
    (await call('style')).answer(css('nine'));
    const first = await call('changes');
    expect(calls.filter((one) => one.path === 'changes')).toHaveLength(1);
    first.answer(choicesStored(9, 3));
    await both[0];
    expect(store.shown.saving).toBe(true);
    expect(store.shown.choices.radius).toBe(11);
    const second = await call('changes', 1);
    expect(second.body['edits']).toMatchObject([{ revision: 3 }]);
    expect([first.state, second.state]).toEqual(['first', 'r9']);
    second.answer({ ...choicesStored(11, 4), base: 'r9' });
    await both[1];
    expect(store.shown.saving).toBe(false);
    expect(store.revision('choices')).toBe(4);
  });
});

describe('an answer that makes no sense', () => {
  it('is told, and nothing is being saved any more', async () => {
    const { store, call } = opened();
    const done = store.change('Title', title('Neu'));
    (await call('changes')).answer({ state: 'a', base: 'first', pages: [{}] });
    expect(await done).toBe(false);
    expect(store.shown.error).not.toBeNull();
    expect(store.shown.saving).toBe(false);
    const again = store.change('Title', title('Neuer'));
    expect(store.shown.saving).toBe(true);
    (await call('changes', 1)).answer(stored('b', { pages: [{ ...page('Neuer'), revision: 2 }] as never }));
    expect(await again).toBe(true);
    expect(store.shown.saving).toBe(false);
  });
});

describe('a change of a page', () => {
  it('shows at once and stays when another answer comes first', async () => {
    const { store, call } = opened();
    const both = [store.change('Title', title('Neu')), store.change('Title', title('Neuer'))];
    const shown = () => store.shown.brand.pages[0]?.body.title;
    expect(shown()).toBe('Neuer');
    (await call('changes')).answer(stored('a', { pages: [{ ...page('Neu'), revision: 2 }] as never }));
    await both[0];
    expect(shown()).toBe('Neuer');
    (await call('changes', 1)).answer(stored('b', { base: 'a', pages: [{ ...page('Neuer'), revision: 3 }] as never }));
    await both[1];
    expect(shown()).toBe('Neuer');
    expect(store.revision('page:home')).toBe(3);
  });

  it('leaves what it does not touch the same objects, so that nothing else is drawn anew', async () => {
    const { store, call } = opened();
    const before = store.shown;
    const done = store.change('Title', title('Neu'));
    (await call('changes')).answer(stored('a', { pages: [{ ...page('Neu'), revision: 2 }] as never }));
    await done;
    const after = store.shown;
    expect(after.system).toBe(before.system);
    expect(after.token).toBe(before.token);
    expect(after.look).toBe(before.look);
    expect(after.brand.identity).toBe(before.brand.identity);
    expect(after.brand.pages[1]).toBe(before.brand.pages[1]);
  });

  it('over which somebody was faster is kept aside, and made again on what is there now', async () => {
    const { store, ports, call } = opened();
    const done = store.change('Title', title('Meins'));
    (await call('changes')).answer(refused(409, 'stale'));
    expect(await done).toBe(false);
    expect(store.shown.stale).toMatchObject({ label: 'Title', changes: title('Meins') });
    expect(store.shown.error).toBeNull();
    ports.load.mockResolvedValue(workbench({ state: 'now', pages: [{ ...page('Ihres'), revision: 5 }] as never }));
    const again = store.settle(true);
    const second = await call('changes', 1);
    expect(second.body['edits']).toMatchObject([{ revision: 5 }]);
    expect(second.state).toBe('now');
    second.answer(stored('b', { base: 'now', pages: [{ ...page('Meins'), revision: 6 }] as never }));
    await again;
    expect(store.shown.stale).toBeNull();
    expect(store.shown.brand.pages[0]?.body.title).toBe('Meins');
  });
});

const page = (named: string) => ({ body: { ...PAGES[0], title: named } });

describe('undo', () => {
  const brand = workbench({ history: { undo: { entry: 7, label: 'Radius' }, redo: null } as never });

  it('names the entry that it means, and takes what changed over what is held', async () => {
    const { store, call, ports } = opened(brand);
    const done = store.undo();
    const asked = await call('undo');
    expect(asked.body).toEqual({ entry: 7, anyway: false });
    asked.answer(stored('u', { history: { undo: null, redo: { entry: 7, label: 'Radius' } } as never }));
    await done;
    expect(store.shown.brand.history.redo?.label).toBe('Radius');
    expect(ports.keep.mock.lastCall?.[0].state).toBe('u');
  });

  it('over what somebody has changed since asks first, and goes on at a word', async () => {
    const { store, call } = opened(brand);
    const done = store.undo();
    (await call('undo')).answer(refused(409, 'changed-since'));
    await done;
    expect(store.shown.asked).toEqual({ way: 'undo', text: 'No.' });
    store.answer(true);
    expect(store.shown.asked).toBeNull();
    expect((await call('undo', 1)).body).toEqual({ entry: 7, anyway: true });
  });

  it('shows what was before, and what was after, while it is on its way; refused, what is stored is shown again', async () => {
    const { store, call, told } = opened();
    const page = (value: string, revision: number) => ({
      body: { ...PAGES[0], title: value },
      revision,
      preview: value,
    });
    const state = (value: string, revision: number, undo: number | null, redo: number | null) =>
      stored(value + revision, {
        base: store.shown.brand.state,
        pages: [page(value, revision)],
        history: { undo: undo && { entry: undo, label: '' }, redo: redo && { entry: redo, label: '' } },
      } as never);
    const change = store.change('T', title('New'));
    (await call('changes')).answer(state('New', 2, 8, null));
    await change;
    const shown = () => store.shown.brand.pages[0]?.body.title;
    const was = PAGES[0]?.title;
    const back = store.undo();
    const asked = await call('undo');
    expect([shown(), store.shown.brand.history.undo?.entry]).toEqual([was, 8]);
    asked.answer(state(String(was), 3, null, 8));
    await back;
    const forth = store.redo();
    const again = await call('redo');
    expect(shown()).toBe('New');
    again.answer(state('New', 4, 8, null));
    await forth;
    const refusedStep = store.undo();
    const third = await call('undo', 1);
    expect(shown()).toBe(was);
    third.answer(refused(409));
    await refusedStep;
    expect(shown()).toBe('New');
    expect(told((one) => one.brand.pages[0]?.preview)).toEqual(['New', undefined, was, 'New', undefined, 'New']);
  });

  it('asks nothing where there is nothing to take back', async () => {
    const { store, calls } = opened();
    await store.redo();
    expect(calls).toEqual([]);
  });
});

describe('a drag', () => {
  it('asks for the newest of its moves, one question at a time, and tells the rest when it rests', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] });
    const { store, calls, ports } = opened();
    store.draft(choicesOf({ radius: 1 } as never));
    store.draft(choicesOf({ radius: 2 } as never));
    store.draft(choicesOf({ radius: 3 } as never));
    const asked = () => calls.map((one) => [one.path, (one.body['choices'] as Choices).radius]);
    expect(asked()).toEqual([['style', 1]]);
    calls[0]?.answer(css('one'));
    await vi.advanceTimersByTimeAsync(1);
    expect(asked()).toEqual([
      ['style', 1],
      ['style', 3],
    ]);
    await vi.advanceTimersByTimeAsync(400);
    expect(asked().at(-1)).toEqual(['draft', 3]);
    calls.at(-1)?.answer(quick({ css: 'three', tokens: [{ path: 'shape/radius', css: '3px' }] }));
    await vi.advanceTimersByTimeAsync(1);
    expect(store.shown.token('shape/radius')?.css).toBe('3px');
    expect(store.shown.choices.radius).toBe(3);
    store.endDraft();
    expect(store.shown.token('shape/radius')).toBeUndefined();
    expect(ports.restyle.mock.lastCall).toEqual(['']);
    vi.useRealTimers();
  });

  it('that goes on while its last value is stored is not ended by the answer', async () => {
    const { store, call } = opened();
    const done = store.change('Radius', radius(9));
    store.draft(choicesOf({ radius: 12 } as never));
    (await call('style')).answer(css('nine'));
    (await call('changes')).answer(choicesStored(9, 3));
    await done;
    expect(store.shown.choices.radius).toBe(12);
    store.endDraft();
    expect(store.shown.choices.radius).toBe(9);
  });
});

describe('what is looked at', () => {
  const both = { schemes: ['light', 'dark'], css: 'light', css_dark: 'dark', dark: [{ path: 'a', css: '#111' }] };
  const brand = workbench({ system: quick({ ...both, tokens: [{ path: 'a', css: '#eee' }] }) });

  it('restyles the pages, and gives the tokens of that scheme', () => {
    const { store, ports } = opened(brand);
    expect(store.shown.token('a')?.css).toBe('#eee');
    store.setLook({ scheme: 'dark', vision: '' });
    expect(store.shown.token('a')?.css).toBe('#111');
    expect(ports.restyle.mock.calls.map(([text]) => text)).toEqual(['light', 'dark']);
    store.setLook({ scheme: 'dark', vision: 'greyscale' });
    expect(ports.restyle).toHaveBeenCalledTimes(2);
  });

  it('falls back to the scheme that there is', () => {
    const { store } = opened();
    store.setLook({ scheme: 'dark', vision: '' });
    expect(store.shown.look.scheme).toBe('light');
  });

  it('is measured by the widest frame, and told only when it differs', () => {
    const { store, told } = opened();
    store.measured('home', 1280, { 'ground/paper/background': 10 });
    store.measured('home', 360, { 'ground/paper/background': 3 });
    store.measured('home', 1280, { 'ground/paper/background': 10 });
    expect(told((shown) => shown.areas['home'])).toEqual([{ width: 1280, areas: { 'ground/paper/background': 10 } }]);
  });
});

describe('what was loaded anew', () => {
  it('is shown, unless it is older than what was answered since', async () => {
    const { store, call } = opened();
    store.loaded(workbench({ state: 'later', changed_since_release: true }));
    expect(store.shown.brand.changed_since_release).toBe(true);
    const done = store.change('Title', title('Neu'));
    (await call('changes')).answer(stored('a', { base: 'later', pages: [{ ...page('Neu'), revision: 2 }] as never }));
    await done;
    store.loaded(workbench({ state: 'late' }));
    expect(store.shown.brand.pages[0]?.body.title).toBe('Neu');
  });

  it('does not go over what is still on its way', () => {
    const { store } = opened();
    void store.change('Title', title('Neu'));
    store.loaded(workbench({ state: 'other' }));
    expect(store.shown.brand.pages[0]?.body.title).toBe('Neu');
  });
});

describe('a write of another kind', () => {
  it('waits its turn, says what is held, and takes over what changed', async () => {
    const { store, call } = opened();
    const first = store.change('Title', title('Neu'));
    const asked: string[] = [];
    const second = store.write(
      (headers) => {
        asked.push(headers['Formulon-State']);
        return Promise.resolve({ notes: ['read'], workbench: stored('c', { base: 'a', edited: true }) });
      },
      (answer) => answer.workbench,
    );
    expect(asked).toEqual([]);
    (await call('changes')).answer(stored('a', { pages: [{ ...page('Neu'), revision: 2 }] as never }));
    await first;
    expect((await second).notes).toEqual(['read']);
    expect(asked).toEqual(['a']);
    expect(store.shown.brand.edited).toBe(true);
  });

  it('says that something is being saved from the moment it is asked for, until it is stored or refused', async () => {
    const { store } = opened();
    let done: (answer: Changed) => void = () => undefined;
    const writing = store.write(
      () => new Promise<Changed>((resolve) => (done = resolve)),
      (one) => one,
    );
    expect(store.shown.saving).toBe(true);
    await Promise.resolve();
    done(stored('a', { edited: true }));
    await writing;
    expect(store.shown.saving).toBe(false);
  });

  it('that fails leaves the queue open and what is shown as it was', async () => {
    const { store, call } = opened();
    const shown = store.shown.brand;
    await expect(
      store.write(
        () => Promise.reject(new Error('No.')),
        (one: Changed) => one,
      ),
    ).rejects.toThrow('No.');
    expect(store.shown.brand).toBe(shown);
    expect(store.shown.saving).toBe(false);
    void store.change('Title', title('Neu'));
    expect(await call('changes')).toBeDefined();
  });
});

describe('being signed out', () => {
  it('is told to whoever can do something about it', async () => {
    const { store, call, ports } = opened();
    const done = store.change('Title', title('Neu'));
    (await call('changes')).answer(refused(401));
    await done;
    expect(ports.signedOut).toHaveBeenCalledTimes(1);
  });
});

describe('a page that is worked on', () => {
  const FORESEEN = 'pages/{page_id}/foreseen';

  it('is drawn as it will be before the change is stored, and kept for what is stored then', async () => {
    const { store, ports, calls, call, told } = opened();
    store.attend('home');
    const done = store.change('T', title('New'));
    const ahead = await call(FORESEEN);
    expect(ahead.body).toMatchObject({ scheme: 'light', changes: title('New') });
    expect(calls).toHaveLength(1);
    const made = { page: 'home', scheme: 'light', html: '<p>New</p>', content: 'key' };
    ahead.answer(made);
    const page = { body: PAGES[0], revision: 2, preview: 'key-2' };
    (await call('changes')).answer(stored('two', { pages: [page] } as unknown as Partial<Changed>));
    expect(await done).toBe(true);
    expect(told((shown) => shown.foreseen?.html ?? null)).toEqual([null, '<p>New</p>', null]);
    expect(ports.drawn.mock.calls).toEqual([[made, store.shown.brand]]);
  });

  it('is given up where drawing takes longer than a write waits, so that nothing is drawn with a change twice', async () => {
    const { store, call } = opened();
    store.attend('home');
    const done = store.change('T', title('New'));
    const ahead = await call(FORESEEN);
    const write = await call('changes'); // after a while, although nothing was drawn
    expect(ahead.signal?.aborted).toBe(true);
    write.answer(stored('two'));
    expect(await done).toBe(true);
  });

  it('is as it was where the change is refused', async () => {
    const { store, ports, call } = opened();
    store.attend('home');
    const done = store.change('T', title('New'));
    (await call(FORESEEN)).answer({ html: '<p>New</p>' });
    (await call('changes')).answer(refused(422));
    expect(await done).toBe(false);
    expect([store.shown.foreseen, ports.drawn.mock.calls.length]).toEqual([null, 0]);
  });

  it('is not drawn for what others wait behind, for what another page shows, nor where nobody works on it', async () => {
    const { store, calls, call } = opened();
    const alone = store.change('T', title('Nobody sees it'));
    (await call('changes')).answer(stored('one'));
    await alone;
    store.attend('home');
    const three = ['One', 'Two', 'Three'].map((text) => store.change('T', title(text)));
    (await call(FORESEEN)).answer({ html: 'One', content: '' });
    (await call('changes', 1)).answer(stored('two', { base: 'one' }));
    (await call('changes', 2)).answer(stored('three', { base: 'two' }));
    (await call(FORESEEN, 1)).answer({ html: 'Three', content: '' });
    (await call('changes', 3)).answer(stored('four', { base: 'three' }));
    await Promise.all(three);
    store.attend('kontakt');
    const other = store.change('T', title('Elsewhere'));
    (await call('changes', 4)).answer(stored('five', { base: 'four' }));
    await other;
    const asked = calls.filter((one) => one.path === FORESEEN).map((one) => one.body['changes']);
    expect(asked).toEqual([title('One'), title('Three')]);
  });
});
