import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { client, Problem, unwrap } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: Infinity,
      retry: (count, error) => !(error instanceof Problem && error.status >= 400) && count < 2,
    },
  },
});

export function useSession() {
  return useQuery({ queryKey: ['session'], queryFn: () => unwrap(client.GET('/api/session')) });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { username: string; password: string }) => unwrap(client.POST('/api/session', { body })),
    onSuccess: (session) => queries.setQueryData(['session'], session),
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => unwrap(client.DELETE('/api/session')),
    onSuccess: (session) => {
      queries.setQueryData(['session'], session);
      queries.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    },
  });
}

export function useLibrary() {
  return useQuery({ queryKey: ['library'], queryFn: () => unwrap(client.GET('/api/library')) });
}

export function useBrands() {
  return useQuery({ queryKey: ['brands'], queryFn: () => unwrap(client.GET('/api/brands')), staleTime: 0 });
}

export function useCreateBrand() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => unwrap(client.POST('/api/brands', { body: { name } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['brands'] }),
  });
}

export function useWorkbench(brandId: string) {
  return useQuery({
    queryKey: ['brand', brandId],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}', { params: { path: { brand_id: brandId } } })),
    refetchOnWindowFocus: true,
    staleTime: 2000,
  });
}

/** The HTML of a page's preview; `key` changes whenever the HTML does. */
export function usePreview(brandId: string, pageId: string, key: string) {
  return useQuery({
    queryKey: ['preview', brandId, pageId, key],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/preview', {
          params: { path: { brand_id: brandId, page_id: pageId } },
        }),
      ),
    placeholderData: (previous) => previous,
  });
}

/** Findings of the site as it is; `stamp` changes with every revision. */
export function usePreflight(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['preflight', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/preflight', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** The brand’s files and what they say; asked again and again while files are being read. */
export function useSources(brandId: string) {
  return useQuery({
    queryKey: ['sources', brandId],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/sources', { params: { path: { brand_id: brandId } } })),
    refetchInterval: (query) => {
      const state = query.state.data?.progress.state;
      return state === 'waiting' || state === 'reading' ? 400 : false;
    },
  });
}
