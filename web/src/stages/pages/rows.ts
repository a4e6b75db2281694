import type { Section } from '../../api/client';

/** A section with the document that holds it and the path to it there. */
export type Row = { id: string; section: Section; document: string; base: (string | number)[] };

/** The value at a slot's path in a section's content ("items/0/title"). */
export function slotValue(section: Section, path: string): unknown {
  return path.split('/').reduce<unknown>((value, key) => {
    if (Array.isArray(value)) return value[Number(key)] as unknown;
    return value && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined;
  }, section.content);
}

/** The parts of a slot's path, with places in lists as numbers. */
export function slotParts(path: string): (string | number)[] {
  return path.split('/').map((part) => (/^\d+$/.test(part) ? Number(part) : part));
}
