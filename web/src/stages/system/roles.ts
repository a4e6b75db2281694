import type { Conflict, Resolved, Token } from '../../api/client';

/** A role that a colour can fill: a ground, or an ink or button on one. */
export type Role = { ground: string; ink: string | null };

export function roleName(role: Role): string {
  return role.ink ? `${role.ground}/${role.ink}` : role.ground;
}

/** A role in words: "link on accent", "the accent ground". */
export function roleWords(role: Role): string {
  if (!role.ink) return `the ${role.ground} ground`;
  const words: Record<string, string> = { primary: 'main button', secondary: 'second button', body: 'text' };
  return `${words[role.ink] ?? role.ink} on ${role.ground}`;
}

/** The token that shows a role's colour. */
export function tokenOf(system: Resolved, role: Role): Token | undefined {
  const path = !role.ink
    ? `ground/${role.ground}/background`
    : role.ink === 'primary'
      ? `ground/${role.ground}/primary/fill/rest`
      : role.ink === 'secondary'
        ? `ground/${role.ground}/secondary/label/rest`
        : `ground/${role.ground}/${role.ink}`;
  return system.tokens.find((token) => token.path === path);
}

/** The conflict of a role, if it has one. */
export function conflictOf(system: Resolved, role: Role): Conflict | undefined {
  return system.conflicts.find((conflict) => {
    if (conflict.ground !== role.ground || !role.ink) return false;
    return conflict.ink === role.ink || conflict.ink === `${role.ink}/label/rest`;
  });
}

/** The id of the brand colour that a role shows exactly, or undefined. */
export function sourceOf(system: Resolved, brandIds: string[], role: Role): string | undefined {
  const token = tokenOf(system, role);
  if (!token || token.origin === 'derived') {
    if (role.ink !== 'secondary') return undefined;
  }
  return brandIds.find((id) => system.palette[id] === token?.css.toLowerCase());
}

/** What is lit on the sheet for a role. */
export function litOf(role: Role): { ground: string; ink: string } {
  if (!role.ink) return { ground: role.ground, ink: 'background' };
  const ink = role.ink === 'primary' || role.ink === 'secondary' ? `${role.ink}/label/rest` : role.ink;
  return { ground: role.ground, ink };
}
