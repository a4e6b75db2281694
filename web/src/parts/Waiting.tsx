export type WaitingProps = { error?: Error; retry?: () => void };

/** A whole screen that waits, or says why it cannot go on. */
export function Waiting({ error, retry }: WaitingProps) {
  return (
    <main className="waiting">
      {error ? (
        <>
          <h1>Formulon cannot go on</h1>
          <p role="alert">{error.message}</p>
          {retry && (
            <button type="button" className="main-action" onClick={retry}>
              Try again
            </button>
          )}
        </>
      ) : (
        <p role="status">Opening…</p>
      )}
    </main>
  );
}
