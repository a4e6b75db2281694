import { useState } from 'react';
import { pointer, type Page, type Workbench } from '../../api/client';
import { useCompositions } from '../../api/queries';
import { CHOICES, pageDocument } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import type { Bench } from '../../bench/bench';
import { LayoutSketch } from './LayoutSketch';
import type { Row } from './rows';

export type ComposeProps = {
  page: Page;
  row: Row;
  kind: string;
  change: Bench['change'];
  disabled: boolean;
};

/** Compositions for what a section says, three at a time; and the name under which the one that it has is kept. */
export function Compose({ page, row, kind, change, disabled }: ComposeProps) {
  const [seed, setSeed] = useState<number | null>(null);
  return (
    <div className="compose">
      {seed === null ? (
        <button type="button" className="quiet-action" disabled={disabled} onClick={() => setSeed(0)}>
          Compose for these words
        </button>
      ) : (
        <Offered page={page} row={row} kind={kind} change={change} disabled={disabled} seed={seed} turn={setSeed} />
      )}
      <Kept row={row} change={change} disabled={disabled} />
    </div>
  );
}

type OfferedProps = ComposeProps & { seed: number; turn: (seed: number | null) => void };

function Offered({ page, row, kind, change, disabled, seed, turn }: OfferedProps) {
  const { brand } = useShown('brand');
  const revision = brand.pages.find((one) => one.body.id === page.id)?.revision ?? 0;
  const found = useCompositions(brand.id, { page: page.id, section: row.id }, seed, `${revision}`);
  const take = (layout: string) =>
    void change(`${kind}: composed`, [
      {
        document: pageDocument(page.id),
        patch: [{ op: 'replace', path: pointer(...row.base, 'layout'), value: layout }],
      },
    ]);
  return (
    <section className="composed" aria-label="Compositions" aria-busy={found.isFetching}>
      <header>
        <h3>Composed for these words</h3>
        <button type="button" className="link" disabled={found.isFetching} onClick={() => turn((seed + 1) % 1000)}>
          Others
        </button>
        <button type="button" className="link" onClick={() => turn(null)}>
          Close
        </button>
      </header>
      {found.isError && <p role="alert">{found.error.message}</p>}
      {found.isPending && <p className="soft">Composing…</p>}
      {found.data?.offered.length === 0 && <p className="soft">Nothing else can be composed of what stands here.</p>}
      <ul>
        {found.data?.offered.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              aria-pressed={row.section.layout === one.id}
              disabled={disabled}
              onClick={() => take(one.id)}
            >
              <LayoutSketch pieces={one.sketch} />
              <span>{one.about}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The composition that the section has: kept under a name for other pages, or to be kept. */
function Kept({ row, change, disabled }: Pick<ComposeProps, 'row' | 'change' | 'disabled'>) {
  const { brand, choices } = useShown('brand', 'choices');
  const { say } = useActions();
  const [name, setName] = useState('');
  const own = brand.layouts.find((one: Workbench['layouts'][number]) => one.id === row.section.layout);
  if (!own) return null;
  const kept = choices.compositions ?? [];
  const place = kept.findIndex((one) => one.layout === own.id && one.kind === own.kind);
  const keep = async () => {
    const value = { name: name.trim(), kind: own.kind, layout: own.id };
    const patch = [{ op: 'add' as const, path: '/compositions/-', value }];
    if (await change(`Layout “${value.name}” kept`, [{ document: CHOICES, patch }])) {
      setName('');
      say(`“${value.name}” is a layout of the brand now.`);
    }
  };
  const forget = () =>
    void change(`Layout “${kept[place]?.name}” no longer kept`, [
      { document: CHOICES, patch: [{ op: 'remove', path: pointer('compositions', `${place}`) }] },
    ]);
  return place >= 0 ? (
    <p className="soft compose-kept">
      Kept as “{kept[place]?.name}”.{' '}
      <button type="button" className="link" disabled={disabled} onClick={forget}>
        No longer keep it
      </button>
    </p>
  ) : (
    <form
      className="compose-keep"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) void keep();
      }}
    >
      <label>
        Name of this composition
        <input value={name} maxLength={40} disabled={disabled} onChange={(event) => setName(event.target.value)} />
      </label>
      <button type="submit" className="quiet-action" disabled={disabled || !name.trim()}>
        Keep for other pages
      </button>
    </form>
  );
}
