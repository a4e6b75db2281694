import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { client, unwrap, type Workbench } from './client';

/** A value that changes with every entry of the history, taken back and made again ones among them. */
const stampOfHistory = (brand: Workbench) =>
  [brand.history.undo?.entry ?? 0, brand.history.redo?.entry ?? 0, brand.frame.revision, brand.identity.revision].join(
    '-',
  ) + brand.pages.map((page) => page.revision).join('.');

/** The languages of the site, with how far each has come. */
export function useLanguages(brand: Workbench) {
  return useQuery({
    queryKey: ['languages', brand.id, stampOfHistory(brand)],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/languages', { params: { path: { brand_id: brand.id } } })),
    placeholderData: keepPreviousData,
  });
}

/** Every text of the site beside what it is in a language. */
export function useTexts(brand: Workbench, code: string) {
  return useQuery({
    queryKey: ['texts', brand.id, code, stampOfHistory(brand)],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/languages/{code}/texts', { params: { path: { brand_id: brand.id, code } } }),
      ),
    placeholderData: (previous) => (previous?.code === code ? previous : undefined),
    enabled: code !== '',
    retry: false,
  });
}

/** A page as it is drawn in a language. */
export function usePageInLanguage(brand: Workbench, page: string, code: string, enabled: boolean) {
  return useQuery({
    queryKey: ['page in', brand.id, page, code, stampOfHistory(brand)],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/preview', {
          params: { path: { brand_id: brand.id, page_id: page }, query: { language: code } },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled,
  });
}

/** What holds a release back in each language that is to be published. */
export function useGates(brand: Workbench) {
  return useQuery({
    queryKey: ['gates', brand.id, stampOfHistory(brand)],
    queryFn: () =>
      unwrap(client.GET('/api/brands/{brand_id}/preflight/languages', { params: { path: { brand_id: brand.id } } })),
    placeholderData: keepPreviousData,
  });
}
