import { describe, expect, it } from 'vitest';
import { workbench } from '../testing';
import { documentOf, isOlder, isPageLink, pageDocument, pageLink, revisionOf, stampOf, withBody } from './documents';

describe('documents of a brand', () => {
  const brand = workbench();

  it('are found by name, pages among them', () => {
    expect(documentOf(brand, 'identity')).toBe(brand.identity);
    expect(documentOf(brand, pageDocument('kontakt'))).toBe(brand.pages[1]);
    expect(documentOf(brand, pageDocument('nowhere'))).toBeUndefined();
    expect([revisionOf(brand, 'choices'), revisionOf(brand, 'page:nowhere')]).toEqual([2, 0]);
  });

  it('take another body and leave the others the same objects', () => {
    const made = withBody(brand, pageDocument('home'), (body) => ({ ...body, title: 'Neu' }));
    expect(made.pages[0]?.body.title).toBe('Neu');
    expect(made.pages[1]).toBe(brand.pages[1]);
    expect(made.identity).toBe(brand.identity);
    expect(withBody(brand, 'frame', () => ({ order: ['a'] })).frame.body).toEqual({ order: ['a'] });
  });

  it('have a stamp that any revision changes, and are older where one of theirs is', () => {
    const later = { ...brand, frame: { ...brand.frame, revision: 9 } };
    expect(stampOf(later)).not.toBe(stampOf(brand));
    expect([isOlder(brand, later), isOlder(later, brand), isOlder(brand, brand)]).toEqual([true, false, false]);
    const released = { ...brand, releases: [{ number: 1 }] as never };
    expect([isOlder(brand, released), isOlder(released, brand)]).toEqual([true, false]);
  });

  it('are led to by links that tell pages from addresses', () => {
    expect(isPageLink(pageLink('home'))).toBe(true);
    expect(isPageLink('https://example.org/page:1')).toBe(false);
  });
});
