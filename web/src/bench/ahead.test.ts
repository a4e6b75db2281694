import { expect, it } from 'vitest';
import type { Workbench } from '../api/client';
import { ahead } from './ahead';
import { patchedBody } from './patched';

const brand = {
  identity: { revision: 3, body: { name: 'Osier', languages: ['en'] } },
  frame: { revision: 1, body: { header: { id: 'header', layout: 'bar' } } },
  pages: [
    { revision: 1, body: { id: 'home', menu: true, sections: [{ id: 'a' }, { id: 'b' }] } },
    { revision: 2, body: { id: 'about', menu: true, sections: [] } },
  ],
} as unknown as Workbench;

it('shows what was chosen before it is stored, and leaves the rest as it is', () => {
  const made = ahead(brand, [
    { document: 'page:home', patch: [{ op: 'add', path: '/menu', value: false }] },
    { document: 'frame', patch: [{ op: 'replace', path: '/header/layout', value: 'masthead' }] },
  ]);
  expect(made.pages[0]?.body.menu).toBe(false);
  expect(made.frame.body.header.layout).toBe('masthead');
  expect(made.pages[1]).toBe(brand.pages[1]);
  expect(made.pages[0]?.revision).toBe(1);
  expect(brand.pages[0]?.body.menu).toBe(true);
});

it('takes out and puts in at a place of a list, as RFC 6902 has it', () => {
  const out = ahead(brand, [{ document: 'page:home', patch: [{ op: 'remove', path: '/sections/0' }] }]);
  expect(out.pages[0]?.body.sections?.map((section) => section.id)).toEqual(['b']);
  expect(patchedBody({ list: [1, 3] }, [{ op: 'add', path: '/list/1', value: 2 }])).toEqual({ list: [1, 2, 3] });
  expect(patchedBody({ list: [1] }, [{ op: 'add', path: '/list/-', value: 2 }])).toEqual({ list: [1, 2] });
});
