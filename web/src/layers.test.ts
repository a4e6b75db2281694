import { describe, expect, it } from 'vitest';

/** Folders from the bottom up: a part knows those below it and those of its own folder. */
const LAYERS = ['api', 'bench', 'parts', 'sheet', 'shell', 'stages', 'pages'];

const texts = import.meta.glob<string>('./**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true });
const files = Object.keys(texts).filter((file) => !/\.test\.|\.d\.ts$|testing|test-setup/.test(file));

/** The file that a path leads to from another. */
function led(from: string, path: string): string | undefined {
  const at = new URL(path, `file:///${from.slice(2)}`).pathname.slice(1);
  return files.find((file) => [`./${at}.ts`, `./${at}.tsx`, `./${at}/index.ts`].includes(file));
}

const imports = new Map(
  files.map((file) => {
    const text = texts[file] ?? '';
    const named = Array.from(text.matchAll(/^(?:import|export)[^;]*? from '(\.[^']*)'/gm), ([, path = '']) => path);
    return [file, named.flatMap((path) => led(file, path) ?? [])] as const;
  }),
);
const name = (file: string) => file.slice(2);
const layer = (file: string) => LAYERS.indexOf(name(file).split('/')[0] ?? '');

describe('the interface', () => {
  it('is read from its folders', () => {
    expect(files.length).toBeGreaterThan(100);
    expect([...imports.values()].flat().length).toBeGreaterThan(200);
  });

  it('has no arrow from a folder to one above it', () => {
    const up = files.flatMap((file) =>
      (imports.get(file) ?? [])
        .filter((one) => layer(file) >= 0 && layer(one) > layer(file))
        .map((one) => `${name(file)} → ${name(one)}`),
    );
    expect(up).toEqual([]);
  });

  it('has no circle of imports', () => {
    const done = new Set<string>();
    const circles: string[] = [];
    const visit = (file: string, way: string[]) => {
      if (way.includes(file)) circles.push([...way.slice(way.indexOf(file)), file].map(name).join(' → '));
      if (done.has(file) || way.includes(file)) return;
      (imports.get(file) ?? []).forEach((one) => visit(one, [...way, file]));
      done.add(file);
    };
    files.forEach((file) => visit(file, []));
    expect(circles).toEqual([]);
  });

  it('keeps its state apart from what draws it', () => {
    const drawing = files
      .filter((file) => name(file).startsWith('bench/') && !name(file).includes('useBench'))
      .filter((file) => /from '(react|react-dom|@tanstack\/react-query|react-router)'/.test(texts[file] ?? ''));
    expect(drawing.map(name)).toEqual([]);
  });
});
