import { useQuery } from '@tanstack/react-query';
import { client, unwrap } from './client';

/** Sections of a kind that can be added, drawn in the brand's style; `stamp` changes with every revision. */
export function useAdditions(brandId: string, kind: string, stamp: string, scheme: 'light' | 'dark', enabled: boolean) {
  return useQuery({
    enabled,
    queryKey: ['additions', brandId, kind, stamp, scheme],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/additions/{kind}', {
          params: { path: { brand_id: brandId, kind }, query: { scheme } },
        }),
      ),
  });
}

/** The parts of a section's layout that can be shaped; `stamp` changes with every revision. */
export function useParts(brandId: string, at: { page: string; section: string }, stamp: string) {
  return useQuery({
    queryKey: ['parts', brandId, at.page, at.section, stamp],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/parts', {
          params: { path: { brand_id: brandId, page_id: at.page, section_id: at.section } },
        }),
      ),
    placeholderData: (previous) => previous,
  });
}

/** Where words stand on the site; `stamp` changes with every revision. */
export function useSearch(brandId: string, asked: { words: string; cases: boolean; whole: boolean }, stamp: string) {
  return useQuery({
    queryKey: ['search', brandId, asked, stamp],
    queryFn: () =>
      unwrap(
        client.POST('/api/brands/{brand_id}/search', {
          params: { path: { brand_id: brandId } },
          body: { ...asked, by: null, only: null },
        }),
      ),
    enabled: asked.words.trim() !== '',
    placeholderData: (previous) => previous,
  });
}

/** Forms to begin with, in the site's language. */
export function useFormStarts(brandId: string, revision: number) {
  return useQuery({
    queryKey: ['form starts', brandId, revision],
    queryFn: () =>
      unwrap(client.GET('/api/brands/{brand_id}/form-starts', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** How a page is listed, and what is proposed for that; `stamp` changes with every revision. */
export function useListing(brandId: string, page: string, stamp: string) {
  return useQuery({
    queryKey: ['listing', brandId, page, stamp],
    queryFn: async () => ({
      ...(await unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/listing', {
          params: { path: { brand_id: brandId, page_id: page } },
        }),
      )),
      stamp,
    }),
    placeholderData: (previous, query) => (query?.queryKey[2] === page ? previous : undefined),
  });
}

/** Where the facts of the brand stand on its pages; `stamp` changes with every revision. */
export function useStated(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['stated', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/stated', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** Which of the client’s texts stand on pages, and what of them waits. */
export function useMaterial(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['material', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/material', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** The pages among the brand's files: those of the site that it has had. */
export function useOldPages(brandId: string) {
  return useQuery({
    queryKey: ['old pages', brandId],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/old-pages', { params: { path: { brand_id: brandId } } })),
    staleTime: 5_000,
  });
}

/** One of them by itself. */
export function useOldPage(brandId: string, id: number) {
  return useQuery({
    queryKey: ['old page', brandId, id],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/old-pages/{file_id}', {
          params: { path: { brand_id: brandId, file_id: id } },
        }),
      ),
    enabled: id > 0,
    retry: false,
  });
}
