import { describe, expect, it } from 'vitest';

const styles = import.meta.glob<string>('./**/*.scss', { query: '?raw', import: 'default', eager: true });
const parts = Object.keys(import.meta.glob('./**/*.{ts,tsx}'));
const base = styles['./styles/_base.scss'] ?? '';
const partials = Object.entries(styles).filter(([file]) => !file.endsWith('studio.scss'));

describe('the styles of the interface', () => {
  it('lie beside the component that they are of, or are shared by those of a folder', () => {
    const alone = partials
      .map(([file]) => file)
      .filter((file) => !file.startsWith('./styles/') && !file.endsWith('/_shared.scss'))
      .filter((file) => {
        const part = file.replace('/_', '/').replace('.scss', '');
        return !parts.includes(`${part}.tsx`) && !parts.includes(`${part}.ts`);
      });
    expect(partials.length).toBeGreaterThan(50);
    expect(alone).toEqual([]);
  });

  it('are all taken in', () => {
    const entry = styles['./styles/studio.scss'] ?? '';
    const missing = partials
      .map(([file]) => file.replace('./styles/_', '').replace('./', '../').replace('/_', '/').replace('.scss', ''))
      .filter((path) => !entry.includes(`'${path}'`));
    expect(missing).toEqual([]);
  });

  it('have eight sizes of type, all of them tokens', () => {
    const sizes = Array.from(base.matchAll(/--size-(\w+): ([\d.]+)px;/g), ([, name]) => name);
    expect(new Set(sizes).size).toBe(sizes.length);
    expect(sizes.length).toBeLessThanOrEqual(8);
    const used = partials.flatMap(([, text]) =>
      Array.from(text.matchAll(/font-size: ([^;]+);/g), ([, value]) => value),
    );
    expect(used.length).toBeGreaterThan(80);
    expect(used.filter((value) => value !== 'inherit' && !/^var\(--size-\w+\)$/.test(value ?? ''))).toEqual([]);
    expect([...new Set(used)].filter((value) => value !== 'inherit')).toHaveLength(sizes.length);
  });

  it('take colours from tokens', () => {
    const literal = partials.flatMap(([file, text]) => {
      const own = file.endsWith('/_base.scss') ? text.slice(text.indexOf('}') + 1) : text;
      return Array.from(own.matchAll(/#[0-9a-f]{3,8}\b|rgba?\(\d/gi), ([found]) => `${file}: ${found}`);
    });
    expect(literal).toEqual([]);
  });

  it('take spaces from tokens, but for hairlines', () => {
    const literal = partials.flatMap(([file, text]) =>
      Array.from(text.matchAll(/(?:padding|margin|gap)(?:-[\w-]+)?: ([^;{}]+);/g), ([, value = '']) => value)
        .flatMap((value) => value.match(/(?<![\w.])[\d.]+px/g) ?? [])
        .filter((value) => value !== '1px')
        .map((value) => `${file}: ${value}`),
    );
    expect(literal).toEqual([]);
  });
});
