import type { Change, Workbench } from '../api/client';
import { patchedBody } from './patched';

/** The workbench as it will be once changes are stored, for showing at once what was chosen. What follows from them (the
 *  system, the pages as drawn) comes with the answer. */
export function ahead(brand: Workbench, changes: Change[]): Workbench {
  const made = { ...brand };
  for (const { document, patch } of changes) {
    if (document === 'identity') made.identity = { ...made.identity, body: patchedBody(made.identity.body, patch) };
    else if (document === 'frame') made.frame = { ...made.frame, body: patchedBody(made.frame.body, patch) };
    else
      made.pages = made.pages.map((page) =>
        `page:${page.body.id}` === document ? { ...page, body: patchedBody(page.body, patch) } : page,
      );
  }
  return made;
}
