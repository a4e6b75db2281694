import type { Sources } from '../../../api/client';
import { pickedFiles } from './dropped';
import type { Intake } from './useIntake';
import { counted } from '../../../parts/counted';

export type FileListProps = {
  sources: Sources;
  intake: Intake;
  disabled: boolean;
  /** The name of the file of which alone the facts are shown; empty for all. */
  only: string;
  show: (file: string) => void;
};

const STATES: Record<string, string> = { waiting: 'waiting', failed: 'not read', cancelled: 'cancelled' };

function kilobytes(size: number): string {
  return size >= 1_000_000 ? `${(size / 1_000_000).toFixed(1)} MB` : `${Math.max(1, Math.round(size / 1000))} kB`;
}

/** Adding files, progress with cancel, and every file with what came of it. */
export function FileList({ sources, intake, disabled, only, show }: FileListProps) {
  const { progress, files } = sources;
  const busy = progress.state === 'waiting' || progress.state === 'reading';
  const left = files.filter((file) => file.state === 'cancelled').length;
  return (
    <aside className="file-list" aria-label="The brand’s files">
      <label className="drop">
        <input
          type="file"
          multiple
          disabled={disabled || intake.sending > 0}
          onChange={(event) => {
            const picked = pickedFiles(event.target.files);
            void intake.add(picked);
            event.target.value = '';
          }}
        />
        <span>{intake.sending ? `Sending ${counted(intake.sending, 'file')}…` : 'Add files'}</span>
        <span className="soft">or drop a folder or a ZIP anywhere here</span>
      </label>
      <label className="add-folder link">
        <input
          type="file"
          {...{ webkitdirectory: '' }}
          disabled={disabled || intake.sending > 0}
          onChange={(event) => {
            const picked = pickedFiles(event.target.files).filter((one) => !one.path.includes('/.'));
            void intake.add(picked);
            event.target.value = '';
          }}
        />
        Add a folder
      </label>
      <div role="status" className="progress-line">
        {busy && (
          <>
            <span>
              {progress.state === 'waiting' ? 'Waiting for the reader' : `Read ${progress.done} of ${progress.total}`}
            </span>
            <progress value={progress.done} max={Math.max(1, progress.total)} aria-label="Files read" />
          </>
        )}
      </div>
      {busy && (
        <button type="button" className="quiet-action" onClick={() => void intake.cancel()}>
          Cancel reading
        </button>
      )}
      {!busy && left > 0 && (
        <button type="button" className="quiet-action" disabled={disabled} onClick={() => void intake.again()}>
          Read the {left} left
        </button>
      )}
      {!busy && sources.outdated > 0 && (
        <div className="read-again">
          <p>
            More is understood by now than when{' '}
            {sources.outdated === 1 ? 'one file was' : `${sources.outdated} files were`} read.
          </p>
          <button type="button" className="quiet-action" disabled={disabled} onClick={() => void intake.again()}>
            Read {counted(sources.outdated, 'file')} again
          </button>
          <p className="soft">What you decided stays.</p>
        </div>
      )}
      <ul className="files">
        {files.map((file) => (
          <li key={file.id} className={`file is-${file.state}`}>
            <button
              type="button"
              className="file-name"
              title={file.name}
              aria-label={`Only what ${file.name} says`}
              aria-pressed={only === file.name}
              onClick={() => show(only === file.name ? '' : file.name)}
            >
              {file.name.split('/').pop()}
            </button>
            <span className="soft file-facts">
              {STATES[file.state] ?? `${file.format}, ${file.found} found`} · {kilobytes(file.size)}
            </span>
            <button
              type="button"
              className="remove"
              disabled={disabled}
              aria-label={`Take out ${file.name}`}
              onClick={() => void intake.remove(file.id)}
            >
              ×
            </button>
            {file.problem && <p className="problem file-note">{file.problem}</p>}
            {file.notes.map((note) => (
              <p key={note} className="soft file-note">
                {note}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </aside>
  );
}
