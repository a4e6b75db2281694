import { notifyManager, QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  client,
  Problem,
  problemOf,
  unwrap,
  type Focus,
  type Operation,
  type Overlay,
  type PageManner,
  type PaletteCard,
  type Sources,
} from './client';

// An answer that is put into the cache is drawn before anything that is set after it. With the library's own scheduler, a
// timer, the end of a draft was drawn first: for a moment what had been stored before was back, and fields lost what was
// being written in them.
notifyManager.setScheduler(queueMicrotask);

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

export function useBrands(enabled = true) {
  return useQuery({ queryKey: ['brands'], queryFn: () => unwrap(client.GET('/api/brands')), staleTime: 0, enabled });
}

export function useCreateBrand() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => unwrap(client.POST('/api/brands', { body: { name } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['brands'] }),
  });
}

export function useDeleteBrand() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (brandId: string) => {
      const { response, error } = await client.DELETE('/api/brands/{brand_id}', {
        params: { path: { brand_id: brandId } },
      });
      if (!response.ok) throw problemOf(response, error);
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['brands'] }),
  });
}

export function usePassword() {
  return useMutation({
    mutationFn: async (body: { current: string; new: string }) => {
      const { response, error } = await client.POST('/api/session/password', { body });
      if (!response.ok) throw problemOf(response, error);
    },
  });
}

export function useWorkbench(brandId: string) {
  return useQuery({
    queryKey: ['brand', brandId],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}', { params: { path: { brand_id: brandId } } })),
    refetchOnWindowFocus: true,
    staleTime: 2000,
    structuralSharing: false, // the store compares parts by themselves
  });
}

/** What a page as it is drawn is kept under. */
export function previewKey(brandId: string, pageId: string, key: string, scheme: 'light' | 'dark') {
  return ['preview', brandId, pageId, key, scheme];
}

const isOther = (drawn: { key: string } | undefined, key: string) => drawn !== undefined && drawn.key !== key;

/** The HTML of a page's preview; `key` changes whenever the HTML does. Where the page was changed while it was asked for, the answer
 *  is that of another key. It is asked for again: a step back shows the key that was before it is stored. */
export function usePreview(brandId: string, pageId: string, key: string, scheme: 'light' | 'dark') {
  return useQuery({
    queryKey: previewKey(brandId, pageId, key, scheme),
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/preview', {
          params: { path: { brand_id: brandId, page_id: pageId }, query: { scheme } },
        }),
      ),
    staleTime: (query) => (isOther(query.state.data, key) ? 0 : Infinity),
    // Not for ever: the page may have been changed by somebody else, of which the bench is told by other ways.
    refetchInterval: ({ state }) => (isOther(state.data, key) && state.dataUpdateCount < 20 ? 400 : false),
    placeholderData: (previous) => previous,
  });
}

/** The brand’s files and what they say; asked again and again while files are being read. */
export function useSources(brandId: string) {
  return useQuery({
    queryKey: ['sources', brandId],
    queryFn: async ({ client: queries, queryKey }) => {
      const held = queries.getQueryData<Sources>(queryKey);
      const headers = held ? { 'Formulon-State': held.state } : {};
      const path = { brand_id: brandId };
      return pieced(held, await unwrap(client.GET('/api/brands/{brand_id}/sources', { params: { path }, headers })));
    },
    refetchInterval: (query) => {
      const state = query.state.data?.progress.state;
      return state === 'waiting' || state === 'reading' ? 400 : false;
    },
  });
}

/** The files and facts that an answer makes of those that were held: it has only the facts that are otherwise. */
export function pieced(held: Sources | undefined, answer: Sources): Sources {
  if (!answer.base || held?.state !== answer.base) return answer;
  const known = new Map([...held.facts, ...answer.facts].map((fact) => [fact.id, fact]));
  return { ...answer, facts: answer.order.flatMap((id) => known.get(id) ?? []) };
}

/** Where every token is used; `stamp` changes with every revision. */
export function useReach(brandId: string, stamp: string, wanted = true) {
  return useQuery({
    queryKey: ['reach', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/reach', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
    enabled: wanted,
  });
}

/** Buttons, fields and cards as a page; `key` changes whenever its HTML does. */
export function useMatrix(brandId: string, key: string, scheme: 'light' | 'dark') {
  return useQuery({
    queryKey: ['matrix', brandId, key, scheme],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/matrix', { params: { path: { brand_id: brandId }, query: { scheme } } }),
      ),
    placeholderData: (previous) => previous,
  });
}

/** The style guide as a page; `stamp` changes with every revision. */
export function useGuide(brandId: string, stamp: string, scheme: 'light' | 'dark') {
  return useQuery({
    queryKey: ['guide', brandId, stamp, scheme],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/guide', { params: { path: { brand_id: brandId }, query: { scheme } } }),
      ),
    placeholderData: (previous) => previous,
  });
}

/** What the marks’ shapes ask for and what could be made of them; `stamp` changes with every revision. */
export function useLogo(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['logo', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/logo', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

export type Adjustment = { turn: number; left: number; top: number; right: number; bottom: number };

/** A mark turned and cropped. */
export function useAdjusted(brandId: string, mark: string, by: Adjustment) {
  return useQuery({
    queryKey: ['adjusted', brandId, mark, by],
    queryFn: () =>
      unwrap(
        client.POST('/api/brands/{brand_id}/logo/adjusted', {
          params: { path: { brand_id: brandId } },
          body: { mark, ...by },
        }),
      ),
    placeholderData: (previous) => previous,
    retry: false,
  });
}

/** Pairs of typefaces for the brand, and how its texts fit; `stamp` changes with every revision. */
export function useType(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['type', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/type', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** What the newest change reached. */
export function useLastEffect(brandId: string, stamp: string) {
  return useQuery({
    queryKey: ['effect', brandId, stamp],
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/effect', { params: { path: { brand_id: brandId } } })),
    placeholderData: (previous) => previous,
  });
}

/** What a patch on the choices would reach. */
export function useEffectOf(brandId: string, stamp: string, patch: Operation[], revision: number) {
  return useQuery({
    queryKey: ['effect of', brandId, stamp, patch],
    queryFn: () =>
      unwrap(
        client.POST('/api/brands/{brand_id}/effect', {
          params: { path: { brand_id: brandId } },
          body: { patch, revision },
        }),
      ),
  });
}

/** What the texts of a section have on its picture, under an overlay and a focus that are tried. */
export function useOverlay(
  brandId: string,
  stamp: string,
  place: { page: string; section: string },
  tried: { overlay: Overlay; focus: Focus },
) {
  return useQuery({
    queryKey: ['overlay', brandId, stamp, place, tried],
    queryFn: () =>
      unwrap(
        client.POST('/api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/overlay', {
          params: { path: { brand_id: brandId, page_id: place.page, section_id: place.section } },
          body: tried,
        }),
      ),
    placeholderData: (previous) => previous,
    gcTime: 20_000,
  });
}

/** Compositions for what a section says; `stamp` changes with what it says. */
export function useCompositions(
  brandId: string,
  place: { page: string; section: string },
  seed: number,
  stamp: string,
) {
  return useQuery({
    queryKey: ['compositions', brandId, place, seed, stamp],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET('/api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/compositions', {
          params: { path: { brand_id: brandId, page_id: place.page, section_id: place.section }, query: { seed } },
          signal,
        }),
      ),
    placeholderData: (previous) => previous,
    gcTime: 60_000,
  });
}

/** Eight style proposals from a number on; `stamp` changes with every revision. */
export function useStyles(brandId: string, stamp: string, first: number, wanted: boolean) {
  return useQuery({
    queryKey: ['styles', brandId, stamp, first],
    queryFn: () =>
      unwrap(
        client.GET('/api/brands/{brand_id}/styles', {
          params: { path: { brand_id: brandId }, query: { first } },
        }),
      ),
    placeholderData: (previous) => previous,
    enabled: wanted,
  });
}

export type PalettesWanted = {
  source: 'trade' | 'words' | 'colors';
  text: string;
  colors: { hex: string; share: number }[];
  first: number;
};

/** Eight whole palettes by what they are to follow. */
export function usePalettes(brandId: string, stamp: string, wanted: PalettesWanted, enabled: boolean) {
  return useQuery({
    queryKey: ['palettes', brandId, stamp, wanted],
    queryFn: () =>
      unwrap(client.POST('/api/brands/{brand_id}/palettes', { params: { path: { brand_id: brandId } }, body: wanted })),
    placeholderData: (previous) => previous,
    enabled,
  });
}

/** The start page in a palette, and in the manner of a reference. */
export function usePalettePreview(brandId: string, stamp: string, palette: PaletteCard, manner?: PageManner) {
  const { ratio_small = null, ratio_large = null, density = null } = manner ?? {};
  const colors = palette.colors.map(({ name, value }) => ({ name, value }));
  return useQuery({
    queryKey: ['palette preview', brandId, stamp, colors, palette.rhythm, manner],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST('/api/brands/{brand_id}/palettes/preview', {
          params: { path: { brand_id: brandId } },
          body: { colors, rhythm: palette.rhythm, ratio_small, ratio_large, density },
          signal,
        }),
      ),
    gcTime: 60_000,
  });
}

/** The start page once the whole of a proposal was taken. */
export function useStylePreview(brandId: string, stamp: string, number: number) {
  return useQuery({
    queryKey: ['style preview', brandId, stamp, number],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET('/api/brands/{brand_id}/styles/{number}/preview', {
          params: { path: { brand_id: brandId, number } },
          signal,
        }),
      ),
    gcTime: 60_000,
  });
}

/** The colours of a picture, a page or a style sheet with their shares; of a page also its manner. The file is not kept. */
export async function colorsOfFile(file: File) {
  const form = new FormData();
  form.append('file', file);
  const body = form as unknown as { file: string };
  return unwrap(client.POST('/api/colors/picture', { body, bodySerializer: (value) => value as unknown as FormData }));
}
