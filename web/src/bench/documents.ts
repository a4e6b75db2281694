import type { Change, Workbench } from '../api/client';

/** The documents of a brand by name. Everything else asks here. */
export const IDENTITY = 'identity';
export const CHOICES = 'choices';
export const FRAME = 'frame';
export const CHECKS = 'checks';
const PAGE = 'page:';

type Stored = { body: object; revision: number };

/** The name of a page's document. */
export function pageDocument(id: string): string {
  return PAGE + id;
}

/** A document of a brand; undefined where it has none of that name. */
export function documentOf(brand: Workbench, name: string): Stored | undefined {
  if (name === IDENTITY || name === CHOICES || name === FRAME || name === CHECKS) return brand[name];
  return brand.pages.find((page) => pageDocument(page.body.id) === name);
}

/** The brand with another body of a document. */
export function withBody(brand: Workbench, name: string, change: (body: object) => object): Workbench {
  if (name === IDENTITY || name === CHOICES || name === FRAME || name === CHECKS)
    return { ...brand, [name]: { ...brand[name], body: change(brand[name].body) } };
  const pages = brand.pages.map((page) =>
    pageDocument(page.body.id) === name ? { ...page, body: change(page.body) as typeof page.body } : page,
  );
  return { ...brand, pages };
}

/** The brand without a page. */
export function without(brand: Workbench, name: string): Workbench {
  return { ...brand, pages: brand.pages.filter((page) => pageDocument(page.body.id) !== name) };
}

/** The revision of a document; 0 where there is none of that name. */
export function revisionOf(brand: Workbench, name: string): number {
  return documentOf(brand, name)?.revision ?? 0;
}

/** A value that changes with every revision of any document. */
export function stampOf(brand: Workbench): string {
  const pages = brand.pages.map((page) => page.revision).join('.');
  return [brand.identity.revision, brand.choices.revision, brand.frame.revision, brand.checks.revision, pages].join(
    '-',
  );
}

/** The key of a page's preview; empty where there is no such page. */
export function previewOf(brand: Workbench, page: string): string {
  return brand.pages.find((one) => one.body.id === page)?.preview ?? '';
}

/** Whether changes have a page drawn anew. */
export function draws(changes: Change[], page: string): boolean {
  return changes.some((one) => [IDENTITY, FRAME, pageDocument(page)].includes(one.document));
}

/** Whether a brand is as it was before another answer: revisions and releases only ever become more. */
export function isOlder(one: Workbench, other: Workbench): boolean {
  const pages = one.pages.map((page) => pageDocument(page.body.id));
  if (one.releases.length < other.releases.length) return true;
  return [IDENTITY, CHOICES, FRAME, CHECKS, ...pages].some((name) => revisionOf(one, name) < revisionOf(other, name));
}

/** What a destination that is a page is written as, in contents. */
export function pageLink(id: string): string {
  return PAGE + id;
}

/** Whether a destination is a page of the site. */
export function isPageLink(to: string): boolean {
  return to.startsWith(PAGE);
}
