import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { client, unwrap, type EnquiryState } from './client';

const OFTEN = 30_000; // ms between looks at what has come in

export type Asked = { words: string; state: EnquiryState | ''; start: number };

/** A page of the inbox. It looks again by itself, since visitors write when they like. */
export function useEnquiries(brandId: string, { words, state, start }: Asked) {
  return useQuery({
    queryKey: ['enquiries', brandId, words, state, start],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/enquiries', {
          params: { path: { brand_id: brandId }, query: { words, start, ...(state ? { state } : {}) } },
        }),
      ),
    refetchInterval: OFTEN,
    staleTime: 0,
    placeholderData: keepPreviousData,
  });
}

/** How many enquiries nobody has read. */
export function useNewEnquiries(brandId: string, enabled: boolean) {
  return useQuery({
    queryKey: ['enquiries', brandId, 'new'],
    queryFn: () =>
      unwrap(client.GET('/api/brands/{brand_id}/enquiries/count', { params: { path: { brand_id: brandId } } })),
    refetchInterval: OFTEN,
    enabled,
  });
}

/** Marks, erases, and says how long enquiries are kept; what is shown is asked for again. */
export function useInboxActions(brandId: string) {
  const queries = useQueryClient();
  const path = { params: { path: { brand_id: brandId } } };
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['enquiries', brandId] });
  const mark = useMutation({
    mutationFn: (body: { ids: string[]; state: EnquiryState }) =>
      unwrap(client.POST('/api/brands/{brand_id}/enquiries/marks', { ...path, body })),
    onSuccess,
  });
  const erase = useMutation({
    mutationFn: (which: { ids: string[] } | { person: string }) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/enquiries/erasures', { ...path, body: { ids: [], person: '', ...which } }),
      ),
    onSuccess,
  });
  const keep = useMutation({
    mutationFn: (days: number) =>
      unwrap(client.POST('/api/brands/{brand_id}/enquiries/days', { ...path, body: { days } })),
    onSuccess,
  });
  return { mark, erase, keep };
}

/** Where the same is downloaded as CSV. */
export function csvAddress(brandId: string, { words, state }: Pick<Asked, 'words' | 'state'>): string {
  const query = new URLSearchParams({ ...(words ? { words } : {}), ...(state ? { state } : {}) }).toString();
  return `/api/brands/${brandId}/enquiries/csv${query ? `?${query}` : ''}`;
}
