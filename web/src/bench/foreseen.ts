import { client, unwrap, type Change } from '../api/client';

/** A page that is drawn, and in which scheme. */
export type Drawing = { page: string; scheme: 'light' | 'dark' };

/** A page as it will be drawn once a change is stored. The key of its preview begins with `content` then, if nothing else was. */
export type Foreseen = Drawing & { html: string; content: string };

/** Draws a page with changes that are not stored yet; null where it cannot be drawn, which the write will say, or is given up. To
 *  store takes longer than to draw, and finds then what was worked out for it. */
export async function foreseen(
  brand: string,
  drawing: Drawing,
  changes: Change[],
  signal: AbortSignal,
): Promise<Foreseen | null> {
  const { page, scheme } = drawing;
  const path = { params: { path: { brand_id: brand, page_id: page } } };
  const body = { scheme, changes };
  const asked = client.POST('/api/brands/{brand_id}/pages/{page_id}/foreseen', { ...path, body, signal });
  return unwrap(asked).catch(() => null);
}
