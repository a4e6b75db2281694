import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { queryClient } from '../api/queries';
import { client, type Workbench } from '../api/client';
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

const shown: unknown[] = [];

/** The bench of a brand whose workbench lies in the cache, as the workbench's page has it. */
function useOpened() {
  const { data } = useQuery<Workbench>({ queryKey: ['brand', 'one'], enabled: false });
  const { bench } = useBenchState(data ?? workbench('none'));
  shown.push(bench.choices.policy);
  return bench;
}

describe('a change of choices', () => {
  beforeEach(() => {
    shown.length = 0;
    queryClient.clear();
    vi.restoreAllMocks();
  });

  async function changed(answer: () => Promise<unknown>) {
    vi.spyOn(client, 'POST').mockImplementation(((path: string) =>
      path.endsWith('/style') ? Promise.resolve({ data: SYSTEM, response: new Response() }) : answer()) as never);
    queryClient.setQueryData(['brand', 'one'], workbench('AA'));
    const { result } = renderHook(useOpened, {
      wrapper: ({ children }) => <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>,
    });
    // Drawn as in a browser: within act() everything would be drawn once, at its end.
    vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false);
    const patch = [{ op: 'replace' as const, path: '/policy', value: 'own' }];
    await result.current.change('Held to own ratios', [{ document: 'choices', patch }]);
    await new Promise((drawn) => setTimeout(drawn, 50));
    vi.unstubAllGlobals();
  }

  it('shows from the start, and what was before never comes back while it is stored', async () => {
    await changed(() => Promise.resolve({ data: workbench('own'), response: new Response() }));
    expect(shown.filter((policy, index) => policy !== shown[index - 1])).toEqual(['AA', 'own']);
  });

  it('that is refused is taken back', async () => {
    const error = { title: 'No.', code: 'refused' };
    await changed(() => Promise.resolve({ error, response: new Response('', { status: 422 }) }));
    expect(shown.filter((policy, index) => policy !== shown[index - 1])).toEqual(['AA', 'own', 'AA']);
  });
});
