import type { StylePart } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import type { StyleChoice } from './useStyleChoice';

/** A share in words: “38 % of what is seen”. */
const percent = (share: number) => (share >= 0.005 ? `${Math.round(share * 100)} % of what is seen` : 'seen in moving');

/** One whole style, part by part with its reasons; and what is still as it came. */
export function StyleFacet({ choice }: { choice: StyleChoice }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const { styles, chosen, left, toggle, take, taking } = choice;
  const states = styles.data?.parts ?? [];
  if (styles.isError) return <p className="style-facet">The styles cannot be worked out. {styles.error.message}</p>;
  if (!chosen) return <p className="style-facet soft">Working out styles…</p>;
  const says = new Map(chosen.parts.map((one) => [one.part, one.says]));
  const parts = chosen.parts.map((one) => one.part).filter((part) => !left.includes(part));
  const came = states.filter((one) => one.as_it_came && says.has(one.id));
  const settled = brand.choices.body.settled ?? [];
  const settle = (part: StylePart, name: string, on: boolean) =>
    void change(on ? `${name} settled` : `${name} open again`, [
      {
        document: CHOICES,
        patch: [
          { op: 'add', path: '/settled', value: on ? [...settled, part] : settled.filter((one) => one !== part) },
        ],
      },
    ]);
  return (
    <div className="style-facet">
      <h2>
        Style {chosen.number}: {chosen.name}
      </h2>
      <p className="soft">
        Computed from the brief, the colours and what the pages hold. What you have decided, pinned or locked stays.
      </p>
      <ul className="style-parts">
        {states.map((state) => {
          const open = says.has(state.id);
          return (
            <li key={state.id} className={open ? undefined : 'is-kept'}>
              <label>
                <input
                  type="checkbox"
                  checked={open && !left.includes(state.id)}
                  disabled={!open || !canWrite}
                  onChange={() => toggle(state.id)}
                />
                <b>{state.name}</b>
              </label>
              <span className="style-says">
                {says.get(state.id) ?? `Stays. ${state.decided || 'It would conflict with the rest.'}`}
              </span>
              {state.settled ? (
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite}
                  onClick={() => settle(state.id, state.name, false)}
                >
                  Open again
                </button>
              ) : (
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite}
                  aria-label={`Settle ${state.name} as it is`}
                  title="No proposal changes it any more"
                  onClick={() => settle(state.id, state.name, true)}
                >
                  Settle
                </button>
              )}
            </li>
          );
        })}
      </ul>
      <div className="style-take">
        <button
          type="button"
          className="main-action"
          disabled={!canWrite || taking || !parts.length}
          onClick={() => void take(chosen.number, parts)}
        >
          {taking
            ? 'Taking…'
            : left.length && parts.length < chosen.parts.length
              ? 'Take these parts'
              : 'Take this style'}
        </button>
        <span className="soft">One undo takes it back.</span>
      </div>
      {came.length > 0 && (
        <section aria-labelledby="as-it-came">
          <h2 id="as-it-came">Still as it came</h2>
          <p className="soft">
            Nobody has decided these. First comes what makes up most of what visitors see, on first screens above all.
          </p>
          <ul className="style-came">
            {came.map((one) => (
              <li key={one.id}>
                <b>
                  {one.name} <span className="soft">{percent(one.seen)}</span>
                </b>
                <span className="style-says">{says.get(one.id)}</span>
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite || taking}
                  aria-label={`Take ${one.name} alone`}
                  onClick={() => void take(chosen.number, [one.id])}
                >
                  Take
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
