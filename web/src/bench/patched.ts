import type { Choices, Operation } from '../api/client';

/** A document after a patch of plain additions, replacements and removals, for showing it before it is stored. */
export function patchedBody<Body extends object>(body: Body, patch: Operation[]): Body {
  const made = structuredClone(body) as Record<string, unknown>;
  for (const { op, path, value } of patch) {
    const parts = path
      .split('/')
      .slice(1)
      .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
    const last = parts.pop();
    let at = made;
    for (const part of parts) at = (at[part] ??= {}) as Record<string, unknown>;
    if (last === undefined) continue;
    if (Array.isArray(at)) {
      if (last === '-') at.push(value);
      else if (op === 'remove') at.splice(Number(last), 1);
      else if (op === 'add') at.splice(Number(last), 0, value);
      else at[Number(last)] = value;
    } else if (op === 'remove') Reflect.deleteProperty(at, last);
    else at[last] = value;
  }
  return made as Body;
}

/** Choices after a patch. */
export function patched(choices: Choices, patch: Operation[]): Choices {
  return patchedBody(choices, patch);
}
