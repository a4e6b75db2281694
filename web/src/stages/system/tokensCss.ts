import { GROUNDS } from '../../parts/grounds';
import type { Token } from '../../api/client';

/** Every token as a style sheet for a page of the studio's own: those of a ground by their short names on the ground. */
export function tokensCss(tokens: Token[], scheme: string): string {
  const root = [`color-scheme: ${scheme}`];
  const grounds = new Map<string, string[]>(GROUNDS.map((ground) => [ground, []]));
  for (const token of tokens) {
    if (token.type === 'asset') continue;
    const [family = '', ground = '', ...rest] = token.path.split('/');
    if (family === 'ground') grounds.get(ground)?.push(`--${rest.join('-')}: ${token.css}`);
    else root.push(`--${token.path.replaceAll('/', '-')}: ${token.css}`);
  }
  const rule = (selector: string, lines: string[]) =>
    `${selector} {\n${lines.map((line) => `  ${line};\n`).join('')}}\n`;
  return rule(':root', root) + [...grounds].map(([ground, lines]) => rule(`[data-ground="${ground}"]`, lines)).join('');
}
