import { QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { vi } from 'vitest';
import {
  client,
  type Choices,
  type Identity,
  type Library,
  type Page,
  type Resolved,
  type Workbench,
} from './api/client';
import { queryClient } from './api/queries';
import type { Actions, Bench, Shown } from './bench/bench';
import { BenchContext } from './bench/useBench';

/** Made-up material for tests of the interface: a basket workshop, in as much as a test needs of it. */

export const IDENTITY: Identity = {
  name: 'Weidling & Töchter',
  organisation: 'other',
  strapline: 'Körbe aus eigener Weide',
  colors: [
    { id: 'bast', name: 'Bast', value: '#C8A36A' },
    { id: 'weide', name: 'Weide', value: '#4B5A3C', locked: true },
  ],
} as Identity;

/** The page that is worked on. */
export const DRAWING = { page: 'home', scheme: 'light' as const };

export const PAGES = [
  {
    id: 'home',
    name: 'Home',
    title: 'Weidling & Töchter',
    description: '',
    sections: [
      {
        id: 'hero-1',
        kind: 'hero',
        layout: 'words',
        ground: 'deep',
        content: { heading: 'Körbe, *wie* sie halten', action: { label: 'Besuchen', to: 'page:kontakt' } },
      },
      {
        id: 'cards-1',
        kind: 'offering',
        layout: 'row',
        ground: 'paper',
        content: { heading: 'Was wir flechten', items: [{ title: 'Wäschekörbe' }, { title: 'Zäune' }] },
      },
    ],
  },
  { id: 'kontakt', name: 'Kontakt', title: '', description: '', sections: [] },
] as unknown as Page[];

export const LIBRARY = {
  drawings: [
    {
      id: 'boat',
      says: 'boat',
      words: ['boat', 'sail', 'bateau'],
      season: 'summer',
      svg: '<path class="f3" d="M0 0"/>',
    },
    { id: 'flake', says: 'snow', words: ['snow', 'winter'], season: 'winter', svg: '<path class="f2" d="M0 0"/>' },
  ],
  kinds: [
    {
      id: 'hero',
      label: 'Hero',
      needs: 'opening, first screen',
      layouts: [
        {
          id: 'words',
          label: 'Words only',
          about: 'Words',
          on_picture: '',
          sketch: [{ x: 3, y: 4, width: 20, height: 3, what: 'heading' }],
        },
        {
          id: 'split',
          label: 'Split',
          about: 'Words beside a picture',
          on_picture: '',
          sketch: [{ x: 3, y: 4, width: 20, height: 3, what: 'heading' }],
        },
      ],
      slots: [
        { path: 'heading', label: 'Heading', type: 'text', blank: '[[Heading]]', most: 600, one: '' },
        { path: 'text', label: 'Text', type: 'text', blank: '[[Text]]', most: 600, one: '' },
        { path: 'action', label: 'Action', type: 'action', blank: { label: '[[Action]]', to: '' }, most: 600, one: '' },
        {
          path: 'second',
          label: 'Second action',
          type: 'action',
          blank: { label: '[[Second action]]', to: '' },
          most: 600,
          one: '',
        },
        {
          path: 'picture',
          label: 'Picture',
          type: 'picture',
          blank: { source: 'drawn:arcs/1', alt: '', decorative: true },
          most: 600,
          one: '',
        },
      ],
    },
    {
      id: 'offering',
      label: 'Offering',
      needs: 'prices, what we sell, Körbe',
      layouts: [
        {
          id: 'row',
          label: 'Row',
          about: '',
          on_picture: '',
          sketch: [{ x: 3, y: 4, width: 20, height: 3, what: 'heading' }],
        },
      ],
      slots: [
        { path: 'heading', label: 'Heading', type: 'text', blank: '[[Heading]]', most: 600, one: '' },
        {
          path: 'items',
          label: 'Cards',
          type: 'items',
          blank: [{ title: '[[Title]]', text: '[[Text]]' }],
          most: 12,
          one: 'Card',
        },
        { path: 'items/title', label: 'Title', type: 'text', blank: '[[Title]]', most: 600, one: '' },
        { path: 'items/text', label: 'Text of card', type: 'text', blank: '[[Text of card]]', most: 600, one: '' },
      ],
    },
  ],
  organisations: [{ id: 'other', name: 'Other', about: '', pages: ['Kontakt', 'Prices'] }],
  families: [],
  ruled_out: ['shadows', 'motion'],
  languages: [
    { code: 'en-GB', name: 'British English', own: 'British English', words: true, sentences: true },
    { code: 'el', name: 'Greek', own: 'Ελληνικά', words: true, sentences: false },
    { code: 'is', name: 'Icelandic', own: 'Íslenska', words: false, sentences: false },
  ],
} as unknown as Library;

export const SYSTEM = {
  schemes: ['light'],
  css: '',
  css_dark: '',
  tokens: [],
  dark: [],
  pairs: [],
  uses: [],
  conflicts: [],
  counts: {},
  fits: {},
  palette: { bast: '#c8a36a', weide: '#4b5a3c' },
  sections: {},
  steps: [],
} as unknown as Resolved;

export function workbench(more: Partial<Workbench> = {}): Workbench {
  return {
    id: 'one',
    state: 'first',
    role: 'owner',
    identity: { body: IDENTITY, revision: 4 },
    choices: { body: { policy: 'AA', scheme: 'light' }, revision: 2 },
    frame: { body: {}, revision: 1 },
    checks: { body: { weights: {}, notes_hold: false, measured: true, waivers: [] }, revision: 1 },
    pages: PAGES.map((body) => ({ body, revision: 1 })),
    system: SYSTEM,
    releases: [],
    layouts: [],
    pictures: [],
    history: { undo: null, redo: null },
    address: 'http://127.0.0.1/one/',
    changed_since_release: false,
    ...more,
  } as unknown as Workbench;
}

/** What a made-up bench shows, and what was done in it. */
export type MadeUp = Shown & Actions;

/** What happens in a bench is recorded: every change is stored at once. */
export function benchOf(more: Partial<MadeUp> = {}): MadeUp {
  const brand = more.brand ?? workbench();
  return {
    brand,
    system: brand.system,
    token: () => undefined,
    choices: brand.choices.body,
    canWrite: true,
    saving: false,
    lit: null,
    look: { scheme: 'light', vision: '' },
    areas: {},
    error: null,
    notice: null,
    stale: null,
    foreseen: null,
    asked: null,
    change: vi.fn(() => Promise.resolve(true)),
    draft: vi.fn(),
    endDraft: vi.fn(),
    afterChanges: (work) => work(),
    saves: (work) => work(),
    write: vi.fn((ask) => ask({ 'Formulon-State': 'held' })) as Actions['write'],
    revision: () => 1,
    undo: vi.fn(() => Promise.resolve()),
    redo: vi.fn(() => Promise.resolve()),
    report: vi.fn(),
    say: vi.fn(),
    light: vi.fn(),
    setLook: vi.fn(),
    measured: vi.fn(),
    attend: vi.fn(),
    drawing: vi.fn(() => DRAWING),
    close: vi.fn(),
    settle: vi.fn(() => Promise.resolve()),
    answer: vi.fn(),
    ...more,
  };
}

/** A bench that shows one thing and never changes. */
function still(bench: MadeUp): Bench {
  return { ...bench, shown: bench, subscribe: () => () => undefined };
}

/** The first change of a bench: its label, and its patch as “op path value”. */
export function changesOf(bench: MadeUp): string[][] {
  return vi
    .mocked(bench.change)
    .mock.calls.map(([label, changes]) => [
      label,
      ...changes.flatMap((one) =>
        one.patch.map((part) => `${one.document}: ${part.op} ${part.path} ${JSON.stringify(part.value) ?? ''}`.trim()),
      ),
    ]);
}

export const choicesOf = (more: Partial<Choices>): Choices =>
  ({ policy: 'AA', scheme: 'light', ...more }) as unknown as Choices;

function Place() {
  return <p data-testid="place">{useLocation().pathname}</p>;
}

/** Draws a part within a bench, with the library at hand and addresses that are followed. */
export function draw(part: ReactNode, more: Partial<MadeUp> = {}) {
  const bench = benchOf(more);
  queryClient.clear();
  queryClient.setQueryData(['library'], LIBRARY);
  const within = (inner: ReactNode, own: MadeUp) => (
    <QueryClientProvider client={queryClient}>
      <BenchContext.Provider value={still(own)}>
        <MemoryRouter initialEntries={['/here']}>
          <Routes>
            <Route path="*" element={inner} />
          </Routes>
          <Place />
        </MemoryRouter>
      </BenchContext.Provider>
    </QueryClientProvider>
  );
  const drawn = render(within(part, bench));
  return { bench, again: (own: Partial<MadeUp>) => drawn.rerender(within(part, { ...bench, ...own })), ...drawn };
}

type Way = 'GET' | 'POST' | 'PUT' | 'DELETE';
/** Answers of the server by method and path, each a body, or an error with its status. */
export function answers(known: Record<string, unknown>) {
  const asked: [string, unknown][] = [];
  for (const way of ['GET', 'POST', 'PUT', 'DELETE'] as Way[])
    vi.spyOn(client, way).mockImplementation(((path: string, options?: { body?: unknown }) => {
      asked.push([`${way} ${path}`, options?.body]);
      const answer = known[`${way} ${path}`];
      if (answer instanceof Response) return answer.json().then((error) => ({ error, response: answer }));
      return Promise.resolve({ data: answer, response: new Response() });
    }) as never);
  return asked;
}

export const refused = (status: number, title: string, code = 'refused') =>
  new Response(JSON.stringify({ title, code }), { status });

/** Everything that is watched for coming into sight is in sight, and nothing that is watched for its size changes. */
export function inSight() {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {
        return undefined;
      }
      disconnect() {
        return undefined;
      }
    },
  );
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      constructor(private readonly tell: (entries: { isIntersecting: boolean }[]) => void) {}
      observe() {
        this.tell([{ isIntersecting: true }]);
      }
      disconnect() {
        return undefined;
      }
    },
  );
}
