import type { Changed, Workbench } from '../api/client';

type Entry = Record<string, unknown>;

/** Lists of which an answer holds only the entries that changed, each with what names an entry. */
const LISTS: Record<string, (entry: Entry) => string> = {
  pages: (page) => String((page['body'] as Entry)['id']),
  pictures: (picture) => String(picture['id']),
  releases: (release) => String(release['number']),
  'system/tokens': (token) => String(token['path']),
  'system/dark': (token) => String(token['path']),
  'system/pairs': (pair) => `${String(pair['scheme'])} ${String(pair['ground'])} ${String(pair['ink'])}`,
};

/** The workbench that the answer to a write makes of the one that was held when it was asked for. */
export function laid(held: Workbench, answer: Changed): Workbench {
  const { base, gone = {}, order = {}, system, ...parts } = answer;
  if (!base) return { ...parts, system } as Workbench;
  const made = { ...held, ...parts } as unknown as Entry;
  const drawn = { ...held.system, ...system } as unknown as Entry;
  for (const [path, named] of Object.entries(LISTS)) {
    const name = path.replace('system/', '');
    const [old, own, target] = name === path ? [held, answer, made] : [held.system, system, drawn];
    const known = lists(own)[name];
    if (known || gone[path] || order[path])
      target[name] = entries(lists(old)[name] ?? [], known ?? [], named, gone[path] ?? [], order[path]);
  }
  const same = !system && !Object.keys(gone).some((path) => path.startsWith('system/'));
  return { ...made, system: same ? held.system : drawn } as unknown as Workbench;
}

function lists(of: object | undefined): Record<string, Entry[] | undefined> {
  return (of ?? {}) as Record<string, Entry[] | undefined>;
}

function entries(
  old: Entry[],
  own: Entry[],
  named: (entry: Entry) => string,
  gone: string[],
  order: string[] | undefined,
): Entry[] {
  const known = new Map([...old, ...own].map((entry) => [named(entry), entry]));
  gone.forEach((name) => known.delete(name));
  if (!order) return [...known.values()];
  return order.map((name) => known.get(name)).filter((entry) => entry !== undefined);
}
