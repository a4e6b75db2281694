import { Link } from 'react-router';
import { pointer, type Arrangement, type Library, type Page } from '../../api/client';
import type { Bench } from '../../bench/bench';
import { FRAME } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { Editable } from '../../parts/Editable';
import { SECTION_GROUNDS } from '../../parts/grounds';
import { Ask, type AskText } from './Ask';
import { Compose } from './Compose';
import { HeaderChoices } from './HeaderChoices';
import { LayoutSketch } from './LayoutSketch';
import { OnPicture } from './OnPicture';
import type { PictureValue } from './PictureSlot';
import type { Row } from './rows';
import { SectionActions } from './SectionActions';
import { SlotEditors, slotsOf } from './SlotEditors';

export type SectionOpenProps = {
  page: Page;
  row: Row;
  kinds: Library['kinds'];
  change: Bench['change'];
  choose: (section: string, page?: string) => void;
  takeOut: (name: string, operation: Arrangement) => void;
  disabled: boolean;
  /** The slot of the text that was worked on last. */
  text: string;
  /** The page that is shown. */
  paper: () => Document | null;
};

/** The texts of a section that are written, by their slots. */
function textsOf(row: Row, kind: Library['kinds'][number] | undefined): AskText[] {
  return slotsOf(row, kind)
    .filter((one) => ['text', 'rich_text'].includes(one.slot.type) && typeof one.value === 'string' && one.value)
    .map(({ path, label }) => ({ path, label }));
}

/** What is decided of one section: its layout, its ground, its place, and what its slots hold. */
export function SectionOpen({ page, row, kinds, change, choose, takeOut, disabled, text, paper }: SectionOpenProps) {
  const { brand, token, choices } = useShown('brand', 'token', 'choices');
  const kind = kinds.find((one) => one.id === row.section.kind);
  const name = kind?.label ?? 'Section';
  const onPicture =
    Boolean(row.section.content?.['picture']) && kind?.layouts.find((one) => one.id === row.section.layout)?.on_picture;
  const drawn = !row.section.hidden && !row.section.parked;
  const put = (key: string, value: unknown, label: string, op: 'add' | 'replace' = 'add') =>
    void change(label, [{ document: row.document, patch: [{ op, path: pointer(...row.base, key), value }] }]);
  const set = (key: 'layout' | 'ground', value: string, label: string) => {
    if (row.section[key] !== value) put(key, value, label, 'replace');
  };
  // Under a rhythm of the site a ground of its own is a departure.
  const rhythm = choices.rhythm != null;
  const setGround = (ground: string) => {
    const label = `${name} on ${ground}`;
    if (!rhythm) return set('ground', ground, label);
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
  const color = (ground: string) => token(`ground/${ground}/background`)?.css;
  return (
    <div className="section-open">
      <Ask
        key={row.id}
        page={page.id}
        section={row.id}
        texts={textsOf(row, kind)}
        text={text}
        disabled={disabled}
        done={(on, section) => choose(section, on)}
      />
      <div className="layouts" role="group" aria-label="Layout">
        {kind?.layouts.map((layout) => (
          <button
            key={layout.id}
            type="button"
            aria-pressed={row.section.layout === layout.id}
            disabled={disabled}
            title={layout.about}
            onClick={() => set('layout', layout.id, `${kind.label}: ${layout.label}`)}
          >
            <LayoutSketch pieces={layout.sketch} />
            {layout.label}
          </button>
        ))}
      </div>
      {row.document !== FRAME && drawn && (
        <Compose page={page} row={row} kind={name} change={change} disabled={disabled} />
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
              onClick={() => setGround(ground)}
            >
              <i style={{ background: color(ground) }} />
              {ground}
            </button>
          ))}
        </div>
      )}
      {rhythm && row.section.departs && (
        <div className="departs">
          <button
            type="button"
            className="link"
            disabled={disabled}
            onClick={() => put('departs', false, 'A section follows the rhythm again')}
          >
            departs from the rhythm: follow it again
          </button>
          <Editable
            label="Why it departs"
            disabled={disabled}
            value={row.section.reason ?? ''}
            placeholder="a reason stays with it"
            onSave={(value) => put('reason', value, `${name}: why it departs`)}
          />
        </div>
      )}
      {row.section.kind === 'header' && <HeaderChoices disabled={disabled} />}
      {row.section.source && <p className="soft frame-ground">Its words come from {row.section.source}.</p>}
      {row.document !== FRAME && (
        <SectionActions
          page={page}
          row={row}
          name={name}
          kinds={kinds}
          disabled={disabled}
          choose={choose}
          takeOut={takeOut}
        />
      )}
      {row.document !== FRAME && brand.pages.length === 1 && (
        <Editable
          label="Name in the menu"
          className="slot"
          disabled={disabled}
          value={row.section.menu ?? ''}
          placeholder="not in the menu"
          onSave={(value) => put('menu', value, value ? `“${value}” in the menu` : 'A section not in the menu')}
        />
      )}
      <label className="slot-check">
        <input
          type="checkbox"
          checked={row.section.locked ?? false}
          disabled={disabled}
          onChange={(event) =>
            put('locked', event.target.checked, `${name} ${event.target.checked ? 'locked' : 'unlocked'}`)
          }
        />
        keep as it is when the pages are planned again
      </label>
      {onPicture && drawn && (
        <OnPicture
          row={row}
          pageId={page.id}
          picture={row.section.content?.['picture'] as PictureValue}
          paper={paper}
          disabled={disabled}
        />
      )}
      <SlotEditors row={row} kind={kind} change={change} disabled={disabled} pageId={page.id} />
    </div>
  );
}
