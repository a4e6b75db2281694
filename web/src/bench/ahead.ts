import type { Change, Workbench } from '../api/client';
import { withBody } from './documents';
import { patchedBody } from './patched';

/** The workbench as it will be once changes are stored, for showing at once what was chosen. What follows from them (the
 *  system, the pages as drawn) comes with the answer. */
export function ahead(brand: Workbench, changes: Change[]): Workbench {
  return changes.reduce(
    (made, { document, patch }) => withBody(made, document, (body) => patchedBody(body, patch)),
    brand,
  );
}
