import type { Fact } from '../../../api/client';

export type PlacesProps = { evidence: Fact['variants'][number]['evidence'] };

const SHOWN = 3;

/** Where a value was read: the files at a glance, every place on demand. */
export function Places({ evidence }: PlacesProps) {
  const byFile = new Map<string, string[]>();
  for (const one of evidence) {
    const often = (one.count ?? 1) > 1 ? `${one.place}, ${one.count} times` : one.place;
    const share = one.share ? `${often}, ${Math.max(1, Math.round(one.share * 100))} %` : often;
    byFile.set(one.file, [...(byFile.get(one.file) ?? []), share]);
  }
  const names = [...byFile.keys()].map((file) => file.split('/').pop() ?? file);
  const more = names.length - SHOWN;
  return (
    <details className="places">
      <summary>
        {names.slice(0, SHOWN).join(', ')}
        {more > 0 && ` and ${more} more`}
      </summary>
      <ul>
        {[...byFile].map(([file, where]) => (
          <li key={file}>
            <b>{file}</b> {[...new Set(where)].join('; ')}
          </li>
        ))}
      </ul>
    </details>
  );
}
