import { useEffect } from 'react';
import { useActions, useShown } from '../bench/useBench';

/** What was done, with undo beside it; or what went wrong, which stays until it is closed. */
export function Notices() {
  const { error, notice } = useShown('error', 'notice');
  const { undo, close } = useActions();
  useEffect(() => {
    if (error || !notice) return;
    const timer = setTimeout(close, 8000);
    return () => clearTimeout(timer);
  }, [error, notice, close]);
  return (
    <div className="notices">
      <div role="status">
        {notice && !error && (
          <p className="notice">
            {notice.text}
            {notice.undo && (
              <button type="button" onClick={() => void undo()}>
                Undo
              </button>
            )}
            <button type="button" onClick={close} aria-label="Close">
              ×
            </button>
          </p>
        )}
      </div>
      <div role="alert">
        {error && (
          <p className="notice notice-error">
            {error}
            <button type="button" onClick={close} aria-label="Close">
              ×
            </button>
          </p>
        )}
      </div>
    </div>
  );
}
