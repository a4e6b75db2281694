import type { Choices, Operation } from '../api/client';

type Holder = Record<string, unknown> | unknown[];

/** The parts of a JSON Pointer (RFC 6901). */
function parts(path: string): string[] {
  return path
    .split('/')
    .slice(1)
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
}

function holderOf(body: Holder, path: string): [Holder, string] {
  const names = parts(path);
  const last = names.pop() ?? '';
  let at = body as Record<string, Holder>;
  for (const name of names) at = (at[name] ??= {}) as Record<string, Holder>;
  return [at, last];
}

function put(body: Holder, path: string, value: unknown, over: boolean): void {
  const [at, last] = holderOf(body, path);
  if (!Array.isArray(at)) at[last] = value;
  else if (last === '-') at.push(value);
  else if (over) at[Number(last)] = value;
  else at.splice(Number(last), 0, value);
}

function take(body: Holder, path: string): unknown {
  const [at, last] = holderOf(body, path);
  if (Array.isArray(at)) return at.splice(Number(last), 1)[0];
  const value = at[last];
  Reflect.deleteProperty(at, last);
  return value;
}

function look(body: Holder, path: string): unknown {
  const [at, last] = holderOf(body, path);
  return structuredClone(Array.isArray(at) ? at[Number(last)] : at[last]);
}

/** A document after a patch, for showing it before it is stored. */
export function patchedBody<Body extends object>(body: Body, patch: Operation[]): Body {
  const made = structuredClone(body) as unknown as Holder;
  for (const { op, path, from = '', value } of patch) {
    if (!path) continue; // a whole document, which is made or taken away
    if (op === 'remove') take(made, path);
    else if (op === 'move') put(made, path, take(made, from), false);
    else if (op === 'copy') put(made, path, look(made, from), false);
    else if (op !== 'test') put(made, path, value, op === 'replace');
  }
  return made as unknown as Body;
}

/** Choices after a patch. */
export function patched(choices: Choices, patch: Operation[]): Choices {
  return patchedBody(choices, patch);
}
