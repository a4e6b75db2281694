import { renderHook, waitFor } from '@testing-library/react';
import { QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { expect, it } from 'vitest';
import { answers } from '../testing';
import { queryClient, usePreview } from './queries';

const PREVIEW = 'GET /api/brands/{brand_id}/pages/{page_id}/preview';

it('asks again for a page that was changed while it was drawn, and for no other', async () => {
  queryClient.clear();
  const known: Record<string, unknown> = { [PREVIEW]: { key: 'b', html: '<p>After</p>' } }; // stored while the page was on its way
  const asked = answers(known);
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
  );
  const { result, rerender } = renderHook(({ key }) => usePreview('one', 'home', key, 'light').data?.html, {
    initialProps: { key: 'a' },
    wrapper,
  });
  await waitFor(() => expect(result.current).toBe('<p>After</p>'));
  rerender({ key: 'b' });
  await waitFor(() => expect(queryClient.isFetching()).toBe(0));
  known[PREVIEW] = { key: 'a', html: '<p>Before</p>' }; // taken back
  rerender({ key: 'a' });
  await waitFor(() => expect(result.current).toBe('<p>Before</p>'));
  // A step back is shown before it is stored: what is asked for meanwhile is still what was.
  known[PREVIEW] = { key: 'a', html: '<p>Before</p>' };
  rerender({ key: 'c' });
  await waitFor(() => expect(queryClient.isFetching()).toBe(0));
  expect(result.current).toBe('<p>Before</p>');
  known[PREVIEW] = { key: 'c', html: '<p>Long before</p>' };
  await waitFor(() => expect(result.current).toBe('<p>Long before</p>'));
  rerender({ key: 'a' });
  const count = asked.length;
  known[PREVIEW] = { key: 'b', html: '<p>Never asked for</p>' };
  rerender({ key: 'b' });
  rerender({ key: 'a' });
  await waitFor(() => expect(result.current).toBe('<p>Before</p>'));
  expect(asked.length).toBe(count);
});
