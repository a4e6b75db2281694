import { useCallback, useSyncExternalStore } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { client, unwrap, type Before, type Change, type Measuring, type Preflight } from './client';

const at = (brandId: string) => ({ params: { path: { brand_id: brandId } } });

const reportKey = (brandId: string, stamp: string) => ['preflight', brandId, stamp];

/** How many findings stop the release, as far as that is known without asking: those of the newest report, else what is predicted. */
export function useStops(brandId: string, stamp: string, predicted: number): number {
  const queries = useQueryClient();
  const subscribe = useCallback((tell: () => void) => queries.getQueryCache().subscribe(tell), [queries]);
  const known = useSyncExternalStore(
    subscribe,
    () => queries.getQueryData<Preflight>(reportKey(brandId, stamp))?.counts['stop'],
  );
  return known ?? predicted;
}

/** Findings of the site as it is; `stamp` changes with every revision. */
export function usePreflight(brandId: string, stamp: string) {
  return useQuery({
    queryKey: reportKey(brandId, stamp),
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/preflight', at(brandId))),
    placeholderData: (previous) => previous,
  });
}

/** The fixes of a finding, worked out when it is looked at; `stamp` changes with every revision. */
export function useFixes(brandId: string, stamp: string, finding: { page: string; key: string }, wanted: boolean) {
  return useQuery({
    queryKey: ['fixes', brandId, stamp, finding.page, finding.key],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/preflight/fixes', {
          ...at(brandId),
          body: { page: finding.page, key: finding.key },
          signal,
        }),
      ),
    enabled: wanted,
    gcTime: 60_000,
  });
}

/** The changes that would mend most on the whole site. */
export function useMendings(brandId: string, stamp: string, wanted: boolean) {
  return useQuery({
    queryKey: ['mendings', brandId, stamp],
    queryFn: ({ signal }) =>
      unwrap(client.GET('/api/brands/{brand_id}/preflight/mendings', { ...at(brandId), signal })),
    enabled: wanted,
    gcTime: 60_000,
  });
}

/** What a fix would come to: the page as it is drawn with it, and its effect on the whole site. */
export function useTrial(
  brandId: string,
  stamp: string,
  page: string,
  scheme: 'light' | 'dark',
  fix: { label: string; changes: object[] } | null,
) {
  const key = [brandId, stamp, JSON.stringify(fix?.changes ?? null)];
  const drawn = useQuery({
    queryKey: ['trial', ...key, page, scheme],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/pages/{page_id}/foreseen', {
          params: { path: { brand_id: brandId, page_id: page } },
          body: { scheme, changes: (fix?.changes ?? []) as Change[] },
          signal,
        }),
      ),
    enabled: fix !== null,
    gcTime: 30_000,
    retry: false,
  });
  const effect = useQuery({
    queryKey: ['weigh', ...key],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/preflight/weigh', {
          ...at(brandId),
          body: { label: fix?.label ?? '', changes: (fix?.changes ?? []) as Change[] },
          signal,
        }),
      ),
    enabled: fix !== null,
    gcTime: 30_000,
    retry: false,
  });
  return { html: drawn.data?.html, effect: effect.data };
}

/** The fixes of all findings of a rule, as one change that is not stored. */
export async function allOf(brandId: string, rule: string) {
  return unwrap(client.POST('/api/brands/{brand_id}/preflight/all-of', { ...at(brandId), body: { rule } }));
}

/** How far a browser has looked at the pages as they are now; asked again and again while some wait for it. */
export function useMeasuring(brandId: string, stamp: string) {
  const queries = useQueryClient();
  const queryKey = ['measuring', brandId, stamp];
  return useQuery({
    queryKey,
    queryFn: async () => {
      const before = queries.getQueryData<Measuring>(queryKey)?.done;
      const told = await unwrap(client.GET('/api/brands/{brand_id}/preflight/measuring', at(brandId)));
      // What was seen since is a part of the report.
      if (before !== undefined && told.done !== before)
        void queries.invalidateQueries({ queryKey: reportKey(brandId, stamp) });
      return told;
    },
    placeholderData: (previous: Measuring | undefined) => previous,
    refetchInterval: (query) => (query.state.data?.waiting ? 800 : false),
    staleTime: 0,
  });
}

/** Has the pages measured, or lets go of what waits for it. */
export function useMeasure(brandId: string, stamp: string) {
  const queries = useQueryClient();
  const put = (told: Measuring) => queries.setQueryData(['measuring', brandId, stamp], told);
  const start = useMutation({
    mutationFn: () => unwrap(client.POST('/api/brands/{brand_id}/preflight/measuring', at(brandId))),
    onSuccess: (told) => {
      put(told);
      // Where a change came between, it is known under another stamp.
      void queries.invalidateQueries({ queryKey: ['measuring', brandId] });
    },
  });
  const stop = useMutation({
    mutationFn: () => unwrap(client.DELETE('/api/brands/{brand_id}/preflight/measuring', at(brandId))),
    onSuccess: put,
  });
  return { start, stop };
}

/** What draws the eye first on a page, as far as a browser has seen it as it is now. */
export function useFirstScreens(brandId: string, page: string, scheme: 'light' | 'dark', stamp: string) {
  return useQuery({
    queryKey: [...reportKey(brandId, stamp), 'first', page, scheme],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/preflight/first-screens/{page_id}', {
          params: { path: { brand_id: brandId, page_id: page }, query: { scheme } },
        }),
      ),
    enabled: page !== '',
  });
}

/** The old site, checked by the same means; asked again and again while its pages wait. */
export function useBefore(brandId: string) {
  const queries = useQueryClient();
  const key = ['before', brandId];
  const told = useQuery({
    queryKey: key,
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/preflight/before', at(brandId))),
    refetchInterval: (query) => (query.state.data?.measuring.waiting ? 1000 : false),
    staleTime: 0,
  });
  const put = (answer: Before) => queries.setQueryData(key, answer);
  const start = useMutation({
    mutationFn: () => unwrap(client.POST('/api/brands/{brand_id}/preflight/before', at(brandId))),
    onSuccess: put,
  });
  const stop = useMutation({
    mutationFn: () => unwrap(client.DELETE('/api/brands/{brand_id}/preflight/before', at(brandId))),
    onSuccess: put,
  });
  return { told, start, stop };
}
