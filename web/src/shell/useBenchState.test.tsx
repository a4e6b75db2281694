import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { queryClient } from '../api/queries';
import { client, type Workbench } from '../api/client';
import type { Bench } from './bench';
import { useBenchState } from './useBenchState';

const SYSTEM = { schemes: ['light'], css: '', css_dark: '', tokens: [], dark: [] };

function workbench(policy: string): Workbench {
  return {
    id: 'one',
    role: 'owner',
    choices: { body: { policy }, revision: policy },
    identity: { body: {}, revision: 1 },
    documents: [],
    history: {},
    system: SYSTEM,
  } as unknown as Workbench;
}

const drawn = vi.fn<(bench: Bench) => void>();

/** The bench of a brand, under what asks for the brand, as the workbench's page has it. */
function Opened() {
  const { data } = useQuery({ queryKey: ['brand', 'one'], queryFn: () => workbench('AA'), staleTime: Infinity });
  return data && <Drawn brand={data} />;
}
function Drawn({ brand }: { brand: Workbench }) {
  const { bench } = useBenchState(brand);
  useLayoutEffect(() => drawn(bench), [bench]);
  return null;
}
/** What was drawn of the policy, one after the other. */
function policies() {
  const all = drawn.mock.calls.map(([bench]) => bench.choices.policy);
  return all.filter((policy, index) => policy !== all[index - 1]);
}

describe('a change of choices', () => {
  beforeEach(() => {
    drawn.mockClear();
    queryClient.clear();
    vi.restoreAllMocks();
  });

  async function changed(answer: () => Promise<unknown>) {
    vi.spyOn(client, 'POST').mockImplementation(((path: string) =>
      path.endsWith('/style') ? Promise.resolve({ data: SYSTEM, response: new Response() }) : answer()) as never);
    queryClient.setQueryData(['brand', 'one'], workbench('AA'));
    render(
      <QueryClientProvider client={queryClient}>
        <Opened />
      </QueryClientProvider>,
    );
    // Drawn as in a browser: within act() everything would be drawn once, at its end.
    vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false);
    const patch = [{ op: 'replace' as const, path: '/policy', value: 'own' }];
    await drawn.mock.lastCall?.[0].change('Held to own ratios', [{ document: 'choices', patch }]);
    await new Promise((drawn) => setTimeout(drawn, 50));
    vi.unstubAllGlobals();
  }

  it('shows from the start, and what was before never comes back while it is stored', async () => {
    await changed(() => Promise.resolve({ data: workbench('own'), response: new Response() }));
    expect(policies()).toEqual(['AA', 'own']);
  });

  it('is being saved from the moment at which it was asked for, until it is answered', async () => {
    let finish: () => void = () => undefined;
    const done = changed(
      () => new Promise((resolve) => (finish = () => resolve({ data: workbench('own'), response: new Response() }))),
    );
    await vi.waitFor(() => expect(client.POST).toHaveBeenCalledTimes(2));
    const saving = drawn.mock.calls.filter(([bench]) => bench.choices.policy === 'own').map(([bench]) => bench.saving);
    expect(saving.length).toBeGreaterThan(0);
    expect(saving).not.toContain(false);
    finish();
    await done;
    expect(drawn.mock.lastCall?.[0].saving).toBe(false);
  });

  it('that waits for another is not said to be saved', async () => {
    const answers: (() => void)[] = [];
    const answer = () =>
      new Promise((resolve) => answers.push(() => resolve({ data: workbench('own'), response: new Response() })));
    const both = [changed(answer), vi.waitFor(() => expect(answers).toHaveLength(1))];
    await both[1];
    const change = drawn.mock.lastCall?.[0].change;
    const second = change?.('Radius', [{ document: 'choices', patch: [{ op: 'add', path: '/radius', value: 3 }] }]);
    answers[0]?.();
    await both[0];
    expect(drawn.mock.lastCall?.[0].saving).toBe(true);
    await vi.waitFor(() => expect(answers).toHaveLength(2));
    answers[1]?.();
    await second;
    await vi.waitFor(() => expect(drawn.mock.lastCall?.[0].saving).toBe(false));
  });

  it('that is refused is taken back', async () => {
    const error = { title: 'No.', code: 'refused' };
    await changed(() => Promise.resolve({ error, response: new Response('', { status: 422 }) }));
    expect(policies()).toEqual(['AA', 'own', 'AA']);
  });
});
