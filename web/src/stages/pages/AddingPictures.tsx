import type { Adding } from './usePictures';

export type AddingPicturesProps = { adding: Adding; stop: () => void; close: () => void };

/** How far adding pictures has come, and what of them could not be taken. */
export function AddingPictures({ adding, stop, close }: AddingPicturesProps) {
  const { done, total, now, failed } = adding;
  return (
    <div className="adding-pictures" role="status">
      {now ? (
        <>
          <progress aria-label="Pictures added" value={done} max={total} />
          <p>
            {now} ({done + 1} of {total}){' '}
            <button type="button" className="link" onClick={stop}>
              Stop after this one
            </button>
          </p>
        </>
      ) : (
        <p>
          {done} of {total} {total === 1 ? 'picture' : 'pictures'} added{' '}
          <button type="button" className="link" onClick={close}>
            Close
          </button>
        </p>
      )}
      {failed.map((one) => (
        <p key={one.name} className="bad">
          {one.why.startsWith(one.name) ? one.why : `${one.name}: ${one.why}`}
        </p>
      ))}
    </div>
  );
}
