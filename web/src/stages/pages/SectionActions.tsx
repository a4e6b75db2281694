import { useState } from 'react';
import { client, unwrap, type Arrangement, type Library, type Page } from '../../api/client';
import { useBrands } from '../../api/queries';
import { useActions, useShown } from '../../bench/useBench';
import { useStructure } from './structure';
import type { Row } from './rows';

export type SectionActionsProps = {
  page: Page;
  row: Row;
  name: string;
  kinds: Library['kinds'];
  disabled: boolean;
  choose: (section: string, page?: string) => void;
  takeOut: (name: string, operation: Arrangement) => void;
};

const WIDTHS = ['phone', 'tablet', 'desktop'] as const;

type Width = (typeof WIDTHS)[number];

/** The place of a section at a class of widths, from 1. What an order does not name stands after what it is written after. */
export function placeOn(page: Page, section: string, width: Width): number {
  const written = (page.sections ?? []).map((one) => one.id);
  const order = (page.order_on?.[width] ?? []).filter((one) => written.includes(one));
  if (!order.length) return written.indexOf(section) + 1;
  let before = '';
  for (const id of written) {
    if (!order.includes(id)) order.splice(before ? order.indexOf(before) + 1 : 0, 0, id);
    before = id;
  }
  return order.indexOf(section) + 1;
}

/** What can be done with a section as a whole: its place, copies, what is kept of it, where it is shown, its kind. */
export function SectionActions({ page, row, name, kinds, disabled, choose, takeOut }: SectionActionsProps) {
  const { brand } = useShown('brand');
  const { arrange } = useStructure();
  const { afterChanges, report, say } = useActions();
  const section = row.section;
  const at = { page: page.id, section: row.id };
  const run = async (operation: Arrangement) => {
    const made = await arrange(operation);
    if (made?.section) choose(made.section, made.page);
  };
  const sections = page.sections ?? [];
  const place = sections.findIndex((one) => one.id === row.id);
  const hidden = section.hidden_on ?? [];
  const [ordering, setOrdering] = useState<Width>('phone');
  const [looking, setLooking] = useState(false);
  const sites = (useBrands(looking).data?.brands ?? []).filter((one) => one.id !== brand.id);
  const copyTo = async (to: string) => {
    try {
      const made = await afterChanges(() =>
        unwrap(
          client.POST('/api/brands/{brand_id}/pages/{page_id}/sections/{section_id}/copy', {
            params: { path: { brand_id: brand.id, page_id: page.id, section_id: row.id } },
            body: { brand: to },
          }),
        ),
      );
      say(`${name} stands at the end of “${made.page}” of ${made.brand}.`, false);
    } catch (problem) {
      report(problem);
    }
  };
  const elsewhere = brand.pages.filter((one) => one.body.id !== page.id);
  const others = kinds
    .filter((one) => !['header', 'footer', section.kind].includes(one.id))
    .sort((one, other) => one.label.localeCompare(other.label));
  const button = (label: string, operation: Arrangement, off = false, title?: string) => (
    <button
      type="button"
      className="quiet-action"
      disabled={disabled || off}
      title={title}
      onClick={() => void run(operation)}
    >
      {label}
    </button>
  );
  return (
    <div className="section-acts" role="group" aria-label={`What to do with ${name}`}>
      <div className="acts-row">
        {button('Move up', { do: 'move', ...at, after: sections[place - 2]?.id ?? '' }, place <= 0)}
        {button(
          'Move down',
          { do: 'move', ...at, after: sections[place + 1]?.id ?? null },
          place === sections.length - 1,
        )}
        {button('Duplicate', { do: 'duplicate', ...at })}
      </div>
      <div className="acts-row">
        {section.parked ? (
          button('Bring back', { do: 'bring_back', ...at }, false, 'What stands in its place is parked instead.')
        ) : (
          <>
            {button('Park', { do: 'park', ...at }, false, 'Kept whole beside the page, and not published.')}
            {button(
              'Park, go on with a copy',
              { do: 'park', ...at, copy: true },
              false,
              'The section as it is stays parked beside the copy.',
            )}
          </>
        )}
        {!section.parked &&
          button(section.hidden ? 'Show again' : 'Hide', { do: 'hide', ...at, hidden: !section.hidden })}
      </div>
      <fieldset className="acts-widths" disabled={disabled}>
        <legend>Shown on</legend>
        {WIDTHS.map((width) => (
          <label key={width}>
            <input
              type="checkbox"
              checked={!hidden.includes(width)}
              disabled={disabled || (!hidden.includes(width) && hidden.length === WIDTHS.length - 1)}
              onChange={(event) =>
                void run({
                  do: 'widths',
                  ...at,
                  hidden_on: WIDTHS.filter((one) => (one === width ? !event.target.checked : hidden.includes(one))),
                })
              }
            />
            {width}
          </label>
        ))}
      </fieldset>
      {!section.parked && !section.hidden && sections.length > 1 && (
        <div className="acts-row acts-order" role="group" aria-label={`Place of ${name} by width`}>
          <select
            aria-label="Width of the order"
            value={ordering}
            onChange={(event) => setOrdering(event.target.value as Width)}
          >
            {WIDTHS.map((width) => (
              <option key={width} value={width}>
                on {width}
                {page.order_on?.[width] ? `: ${placeOn(page, row.id, width)} of ${sections.length}` : ''}
              </option>
            ))}
          </select>
          {button('Earlier', { do: 'reorder', ...at, width: ordering, by: -1 }, placeOn(page, row.id, ordering) <= 1)}
          {button(
            'Later',
            { do: 'reorder', ...at, width: ordering, by: 1 },
            placeOn(page, row.id, ordering) >= sections.length,
          )}
          {page.order_on?.[ordering] && button('As written', { do: 'reorder', ...at, width: ordering, by: 0 })}
        </div>
      )}
      <div className="acts-row">
        <select
          aria-label={`Change ${name} into another kind`}
          value=""
          disabled={disabled}
          onChange={(event) => void run({ do: 'change_kind', ...at, kind: event.target.value })}
        >
          <option value="">Change into…</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
              {section.aside?.[one.id] ? ' (as it was)' : ''}
            </option>
          ))}
        </select>
        <select
          aria-label={`Copy or move ${name} to another page`}
          value=""
          disabled={disabled}
          onFocus={() => setLooking(true)}
          onPointerEnter={() => setLooking(true)}
          onChange={(event) => {
            const [way, to = ''] = event.target.value.split(' ');
            if (way === 'site') void copyTo(to);
            else void run({ do: way as 'copy' | 'move', ...at, to });
          }}
        >
          <option value="">Copy or move to…</option>
          {(elsewhere.length ? (['copy', 'move'] as const) : []).map((way) => (
            <optgroup key={way} label={way === 'copy' ? 'Copy to' : 'Move to'}>
              {elsewhere.map((one) => (
                <option key={one.body.id} value={`${way} ${one.body.id}`}>
                  {one.body.name}
                </option>
              ))}
            </optgroup>
          ))}
          {sites.length > 0 && (
            <optgroup label="Copy to another site">
              {sites.map((one) => (
                <option key={one.id} value={`site ${one.id}`}>
                  {one.name}
                </option>
              ))}
            </optgroup>
          )}
        </select>
        <button
          type="button"
          className="quiet-action"
          disabled={disabled || section.locked}
          title={section.locked ? 'This section is locked.' : undefined}
          onClick={() => takeOut(name, { do: 'take_out', ...at })}
        >
          Take out
        </button>
      </div>
    </div>
  );
}
