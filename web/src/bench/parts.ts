import type { Resolved, Token, Workbench } from '../api/client';

/** Finds a token of a system by its path: of the second scheme where it says otherwise there. */
export function tokensOf(system: Resolved, second: boolean): (path: string) => Token | undefined {
  const tokens = new Map([...system.tokens, ...(second ? system.dark : [])].map((token) => [token.path, token]));
  return (path) => tokens.get(path);
}

/** Whether two answers hold the very same objects. */
export function sameParts(one: Workbench, other: Workbench): boolean {
  const keys = Object.keys(other) as (keyof Workbench)[];
  return keys.length === Object.keys(one).length && keys.every((key) => one[key] === other[key]);
}
