import type { Conflict, Resolved, Token } from '../../api/client';

/** A role that a colour can fill: a ground, or an ink or button on one. */
export type Role = { ground: string; ink: string | null };

export function roleName(role: Role): string {
  return role.ink ? `${role.ground}/${role.ink}` : role.ground;
}

/** A role as the choices write it for a scheme. */
export function wireName(role: Role, scheme: string): string {
  return scheme === 'dark' ? `dark:${roleName(role)}` : roleName(role);
}

/** A role in words: "link on accent", "the accent ground". */
export function roleWords(role: Role): string {
  if (!role.ink) return `the ${role.ground} ground`;
  const words: Record<string, string> = { primary: 'main button', secondary: 'second button', body: 'text' };
  return `${words[role.ink] ?? role.ink} on ${role.ground}`;
}

/** The path of the token that shows a role's colour. */
export function pathOf(role: Role): string {
  if (!role.ink) return `ground/${role.ground}/background`;
  const parts: Record<string, string> = { primary: 'primary/fill/rest', secondary: 'secondary/label/rest' };
  return `ground/${role.ground}/${parts[role.ink] ?? role.ink}`;
}

/** The conflict of a role in a scheme, if it has one. */
export function conflictOf(system: Resolved, role: Role, scheme: string): Conflict | undefined {
  return system.conflicts.find((conflict) => {
    if (conflict.ground !== role.ground || conflict.scheme !== scheme) return false;
    if (!role.ink) return conflict.code === 'ground-too-mid';
    return conflict.ink === role.ink || conflict.ink === `${role.ink}/label/rest`;
  });
}

/** The id of the brand colour that a role shows exactly, or undefined. */
export function sourceOf(
  system: Resolved,
  token: Token | undefined,
  brandIds: string[],
  role: Role,
): string | undefined {
  if (!token || (token.origin === 'derived' && role.ink !== 'secondary')) return undefined;
  return brandIds.find((id) => system.palette[id] === token.css.toLowerCase());
}

/** What is lit on the sheet for a role. */
export function litOf(role: Role): { ground: string; ink: string } {
  if (!role.ink) return { ground: role.ground, ink: 'background' };
  const ink = role.ink === 'primary' || role.ink === 'secondary' ? `${role.ink}/label/rest` : role.ink;
  return { ground: role.ground, ink };
}

/** What a colour token stands on and what it needs there; for a fill, the label that stands on it. */
export function standsOn(path: string, system: Resolved, scheme: string): { background: string; required: number } {
  const [, ground, ...rest] = path.split('/');
  const own = (ink: string) =>
    system.pairs.find((pair) => pair.scheme === scheme && pair.ground === ground && pair.ink === ink);
  const part = rest.join('/');
  const pair = own(part);
  if (path.startsWith('ground/') && pair) return { background: pair.background, required: pair.required };
  const label = own(part.replace('/fill/', '/label/')) ?? own('body');
  if (path.startsWith('ground/') && label) return { background: label.foreground, required: label.required };
  return { background: '#ffffff', required: 0 };
}
