import type { Said } from './useUpload';

/** What went wrong with an upload, and what the server says of the files. */
export function UploadSaid({ problem, notes }: Said) {
  return (
    <>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      {notes.map((note) => (
        <p key={note} className="soft">
          {note}
        </p>
      ))}
    </>
  );
}
