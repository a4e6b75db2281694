import { Link } from 'react-router';
import { pointer, type Page } from '../../api/client';
import { useLibrary } from '../../api/queries';
import { Editable } from '../../parts/Editable';
import { FRAME, pageDocument } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import type { Bench } from '../../bench/bench';
import { read } from './marks';
import { AddSection } from './AddSection';
import { Compose } from './Compose';
import { HeaderChoices } from './HeaderChoices';
import { LayoutSketch } from './LayoutSketch';
import { OnPicture } from './OnPicture';
import type { PictureValue } from './PictureSlot';
import type { Row } from './rows';
import { SlotEditors } from './SlotEditors';
import { SECTION_GROUNDS } from '../../parts/grounds';

export type SectionPanelProps = {
  page: Page;
  rows: Row[];
  current: Row | undefined;
  choose: (section: string) => void;
  change: Bench['change'];
  disabled: boolean;
  /** The page that is shown. */
  paper: () => Document | null;
};

/** The sections of a page from the top; the chosen one opens with its layouts, grounds, links and pictures. */
export function SectionPanel({ page, rows, current, choose, change, disabled, paper }: SectionPanelProps) {
  const { brand, token, choices } = useShown('brand', 'token', 'choices');
  const { say } = useActions();
  const library = useLibrary();
  // The layouts of the catalogue and the brand's own.
  const kinds = (library.data?.kinds ?? []).map((kind) => ({
    ...kind,
    layouts: [...kind.layouts, ...brand.layouts.filter((one) => one.kind === kind.id)],
  }));
  const onPicture = (row: Row) =>
    Boolean(row.section.content?.['picture']) &&
    kinds.find((one) => one.id === row.section.kind)?.layouts.find((one) => one.id === row.section.layout)?.on_picture;
  const color = (ground: string) => token(`ground/${ground}/background`)?.css;
  const set = (row: Row, key: 'layout' | 'ground', value: string, label: string) => {
    if (row.section[key] === value) return;
    void change(label, [
      { document: row.document, patch: [{ op: 'replace', path: pointer(...row.base, key), value }] },
    ]);
  };
  // Under a rhythm of the site a ground of its own is a departure.
  const rhythm = choices.rhythm != null;
  const setGround = (row: Row, ground: string, label: string) => {
    if (!rhythm) return set(row, 'ground', ground, label);
    void change(label, [
      {
        document: row.document,
        patch: [
          { op: 'replace', path: pointer(...row.base, 'ground'), value: ground },
          { op: 'add', path: pointer(...row.base, 'departs'), value: true },
        ],
      },
    ]);
  };
  const follow = (row: Row) =>
    void change('A section follows the rhythm again', [
      { document: row.document, patch: [{ op: 'add', path: pointer(...row.base, 'departs'), value: false }] },
    ]);
  const takeOut = async (row: Row, name: string) => {
    choose('');
    if (
      await change(`${name} taken out of ${page.name}`, [
        { document: row.document, patch: [{ op: 'remove', path: pointer(...row.base) }] },
      ])
    )
      say(`${name} taken out of ${page.name}.`);
  };
  const page_ = (key: 'title' | 'description', label: string) => (value: string) =>
    void change(label, [{ document: pageDocument(page.id), patch: [{ op: 'replace', path: pointer(key), value }] }]);
  return (
    <ol className="section-list">
      {rows.map((row) => {
        const kind = kinds.find((one) => one.id === row.section.kind);
        const open = current?.id === row.id;
        const heading = row.section.content?.['heading'];
        return (
          <li key={row.id} className={open ? 'open' : undefined}>
            <button
              type="button"
              className="section-row"
              aria-expanded={open}
              onClick={() => choose(open ? '' : row.id)}
            >
              <i style={{ background: color(row.section.ground ?? 'paper') }} />
              <b>{kind?.label ?? row.section.kind}</b>
              <span className="soft">
                {typeof heading === 'string' ? read(heading) : row.document === FRAME ? 'all pages' : ''}
              </span>
            </button>
            {open && (
              <div className="section-open">
                <div className="layouts" role="group" aria-label="Layout">
                  {kind?.layouts.map((layout) => (
                    <button
                      key={layout.id}
                      type="button"
                      aria-pressed={row.section.layout === layout.id}
                      disabled={disabled}
                      title={layout.about}
                      onClick={() => set(row, 'layout', layout.id, `${kind.label}: ${layout.label}`)}
                    >
                      <LayoutSketch pieces={layout.sketch} />
                      {layout.label}
                    </button>
                  ))}
                </div>
                {row.document !== FRAME && (
                  <Compose page={page} row={row} kind={kind?.label ?? 'Section'} change={change} disabled={disabled} />
                )}
                {row.document === FRAME ? (
                  <p className="soft frame-ground">
                    It stands on the ground “{row.section.ground}”, which is its own.{' '}
                    <Link to={`/brands/${brand.id}/system`}>Colours</Link>
                  </p>
                ) : (
                  <div className="grounds" role="group" aria-label="Ground">
                    {SECTION_GROUNDS.map((ground) => (
                      <button
                        key={ground}
                        type="button"
                        aria-pressed={row.section.ground === ground}
                        disabled={disabled}
                        onClick={() => setGround(row, ground, `${kind?.label ?? 'Section'} on ${ground}`)}
                      >
                        <i style={{ background: color(ground) }} />
                        {ground}
                      </button>
                    ))}
                    {rhythm && row.section.departs && (
                      <button type="button" className="link" disabled={disabled} onClick={() => follow(row)}>
                        departs from the rhythm: follow it again
                      </button>
                    )}
                  </div>
                )}
                {row.section.kind === 'header' && <HeaderChoices disabled={disabled} />}
                {row.section.source && <p className="soft frame-ground">Its words come from {row.section.source}.</p>}
                {row.document !== FRAME && brand.pages.length === 1 && (
                  <Editable
                    label="Name in the menu"
                    className="slot"
                    disabled={disabled}
                    value={row.section.menu ?? ''}
                    placeholder="not in the menu"
                    onSave={(value) =>
                      void change(value ? `“${value}” in the menu` : 'A section not in the menu', [
                        { document: row.document, patch: [{ op: 'add', path: pointer(...row.base, 'menu'), value }] },
                      ])
                    }
                  />
                )}
                <label className="slot-check">
                  <input
                    type="checkbox"
                    checked={row.section.locked ?? false}
                    disabled={disabled}
                    onChange={(event) =>
                      void change(`${kind?.label ?? 'Section'} ${event.target.checked ? 'locked' : 'unlocked'}`, [
                        {
                          document: row.document,
                          patch: [{ op: 'add', path: pointer(...row.base, 'locked'), value: event.target.checked }],
                        },
                      ])
                    }
                  />
                  keep as it is when the pages are planned again
                </label>
                {onPicture(row) && (
                  <OnPicture
                    row={row}
                    pageId={page.id}
                    picture={row.section.content?.['picture'] as PictureValue}
                    paper={paper}
                    disabled={disabled}
                  />
                )}
                {row.document !== FRAME && (
                  <button
                    type="button"
                    className="quiet-action section-out"
                    disabled={disabled || row.section.locked}
                    title={row.section.locked ? 'This section is locked.' : undefined}
                    onClick={() => void takeOut(row, kind?.label ?? 'Section')}
                  >
                    Take this section out
                  </button>
                )}
                <SlotEditors row={row} kind={kind} change={change} disabled={disabled} pageId={page.id} />
              </div>
            )}
          </li>
        );
      })}
      <li className="page-add">
        <AddSection page={page} kinds={kinds} current={current} change={change} choose={choose} disabled={disabled} />
      </li>
      <li className="page-words">
        <label className="slot-check">
          <input
            type="checkbox"
            checked={page.menu ?? true}
            disabled={disabled}
            onChange={(event) =>
              void change(event.target.checked ? `${page.name} in the menu` : `${page.name} not in the menu`, [
                {
                  document: pageDocument(page.id),
                  patch: [{ op: 'add', path: '/menu', value: event.target.checked }],
                },
              ])
            }
          />
          in the menu
        </label>
        <h2>For search engines</h2>
        <Editable
          label="Title"
          disabled={disabled}
          value={page.title ?? ''}
          placeholder="Missing"
          onSave={page_('title', 'Title written')}
        />
        <Editable
          label="Description"
          multiline
          disabled={disabled}
          value={page.description ?? ''}
          placeholder="Missing"
          onSave={page_('description', 'Description written')}
        />
      </li>
    </ol>
  );
}
