import { Fragment, useState } from 'react';
import type { components } from '../../api/schema';
import { pointer } from '../../api/client';
import { MarkImage } from '../../parts/MarkImage';
import { AdjustMark } from './AdjustMark';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

type Sheet = components['schemas']['LogoSheet'];

const slug = (text: string, taken: string[]) => {
  const base =
    text
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || 'mark';
  let name = base;
  for (let number = 2; taken.includes(name); number++) name = `${base}-${number}`;
  return name;
};

/** Variants that can be made of the marks' own shapes, or of the name where there is none: offered, and taken by a click. */
export function MadeMarks({ sheet }: { sheet: Sheet | undefined }) {
  const { brand, token, canWrite } = useShown('brand', 'token', 'canWrite');
  const { change } = useActions();
  const [adjusting, setAdjusting] = useState('');
  const marks = brand.identity.body.marks ?? [];
  if (!sheet) return <p className="soft">Measuring…</p>;
  const take = (one: Sheet['made'][number]) => {
    const value = {
      id: slug(
        one.name,
        marks.map((mark) => mark.id),
      ),
      name: one.name,
      kind: one.kind,
      meant_for: one.meant_for,
      svg: one.svg,
    };
    void change(`${one.name} taken`, [{ document: IDENTITY, patch: [{ op: 'add', path: '/marks/-', value }] }]);
  };
  const redraw = (label: string, id: string, svg: string) => {
    const index = marks.findIndex((mark) => mark.id === id);
    void change(label, [
      { document: IDENTITY, patch: [{ op: 'replace', path: pointer('marks', index, 'svg'), value: svg }] },
    ]);
  };
  return (
    <section className="made-marks" aria-labelledby="made-title">
      <h2 id="made-title">{marks.length ? 'What could be made of them' : 'Made from the name'}</h2>
      <ul>
        {sheet.made.map((one) => (
          <li key={one.name + one.meant_for}>
            <span
              style={{ background: token(`ground/${one.meant_for === 'dark' ? 'deep' : 'paper'}/background`)?.css }}
            >
              <MarkImage svg={one.svg} alt={one.name} />
            </span>
            <p>
              <b>{one.name}</b>
              <br />
              <span className="soft">{one.why}</span>
            </p>
            <button
              type="button"
              className="quiet-action"
              disabled={!canWrite}
              aria-label={`Take ${one.name}, for ${one.meant_for} grounds`}
              onClick={() => take(one)}
            >
              Take
            </button>
          </li>
        ))}
      </ul>
      {marks.map((mark) => {
        const found = sheet.marks.find((one) => one.id === mark.id);
        return (
          found && (
            <Fragment key={mark.id}>
              <p className="mark-tools">
                <b>{mark.name}</b>
                <span className="soft mono">at least {found.least_height} px high</span>
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite || !found.trimmed}
                  aria-label={`Trim ${mark.name}`}
                  title={found.trimmed ? 'Without its empty margin' : 'It has no empty margin'}
                  onClick={() => redraw(`${mark.name} trimmed`, mark.id, found.trimmed)}
                >
                  Trim
                </button>
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite}
                  aria-label={`Quarter turn of ${mark.name}`}
                  onClick={() => redraw(`${mark.name} turned`, mark.id, found.turned)}
                >
                  Quarter turn
                </button>
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite}
                  aria-expanded={adjusting === mark.id}
                  aria-label={`Crop and turn… ${mark.name}`}
                  onClick={() => setAdjusting(adjusting === mark.id ? '' : mark.id)}
                >
                  Crop and turn…
                </button>
              </p>
              {adjusting === mark.id && (
                <AdjustMark
                  mark={mark}
                  close={() => setAdjusting('')}
                  take={(svg) => {
                    redraw(`${mark.name} cropped and turned`, mark.id, svg);
                    setAdjusting('');
                  }}
                />
              )}
            </Fragment>
          )
        );
      })}
    </section>
  );
}
