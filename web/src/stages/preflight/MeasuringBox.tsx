import type { UseQueryResult } from '@tanstack/react-query';
import type { Measuring } from '../../api/client';
import { useMeasure } from '../../api/preflight';
import { stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';

export type MeasuringBoxProps = { measuring: UseQueryResult<Measuring>; nameOf: (page: string) => string };

/** How far a browser has looked at the pages; has it begun and ended. */
export function MeasuringBox({ measuring, nameOf }: MeasuringBoxProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { report } = useActions();
  const { start, stop } = useMeasure(brand.id, stampOf(brand));
  const told = measuring.data;
  if (!told) return null;
  const { total, done, waiting, failed } = told;
  const left = total - done;
  // A page in a scheme and a language is a view.
  const noun = total > brand.pages.length ? 'view' : 'page';
  return (
    <div className="measuring">
      <p>
        {waiting ? (
          <>
            <b>Looking at the pages in a browser</b>
            <progress max={total} value={done} aria-label="Pages measured" />
            <span className="soft" role="status">
              {done} of {counted(total, noun)}
            </span>
          </>
        ) : left === 0 ? (
          <>
            <b>Seen in the browser</b> <span className="soft">{counted(total, noun)}, at every width.</span>
          </>
        ) : (
          <>
            <b>{done ? `${counted(left, noun)} changed since seen` : 'Not yet seen in the browser'}</b>{' '}
            <span className="soft">
              What is predicted is at once; a browser confirms it, and sees what nothing predicts.
            </span>
          </>
        )}
      </p>
      {failed.map((one) => (
        <p key={one.page} className="problem">
          {nameOf(one.page)}: {one.problem}
        </p>
      ))}
      {canWrite && waiting > 0 && (
        <button type="button" className="quiet-action" onClick={() => stop.mutate(undefined, { onError: report })}>
          Cancel
        </button>
      )}
      {canWrite && waiting === 0 && left > 0 && (
        <button
          type="button"
          className="quiet-action"
          disabled={start.isPending}
          onClick={() => start.mutate(undefined, { onError: report })}
        >
          {done ? 'Look again' : 'Look in the browser'}
        </button>
      )}
    </div>
  );
}
