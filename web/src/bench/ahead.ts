import type { Change, Operation, Workbench } from '../api/client';
import { without, withBody } from './documents';
import { patchedBody } from './patched';

/** The workbench as it will be once changes are stored, for showing at once what was chosen. What follows from them (the
 *  system, the pages as drawn) comes with the answer. */
export function ahead(brand: Workbench, changes: Change[]): Workbench {
  const made = changes.reduce(
    (now, { document, patch }) =>
      isGone(patch) ? without(now, document) : withBody(now, document, (body) => patchedBody(body, patch)),
    brand,
  );
  const order = made.frame.body.order ?? [];
  if (order === brand.frame.body.order) return made;
  const place = (id: string) => (order.includes(id) ? order.indexOf(id) : order.length);
  return { ...made, pages: [...made.pages].sort((one, other) => place(one.body.id) - place(other.body.id)) };
}

/** Whether a patch takes its document away. A page that is made shows when it is stored and can be drawn. */
function isGone(patch: Operation[]): boolean {
  return patch.length === 1 && patch[0]?.op === 'remove' && patch[0].path === '';
}
