import { useState } from 'react';
import { client, unwrap, type Problem, type Workbench } from '../api/client';

export type UnopenedProps = { brandId: string; problem: Problem; again: () => void };

/** A brand that cannot be drawn as it is: why, and taking the newest change back. */
export function Unopened({ brandId, problem, again }: UnopenedProps) {
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const step = (problem.body['undo'] ?? null) as Workbench['history']['undo'];
  const takeBack = () => {
    if (!step) return;
    setBusy(true);
    const asked = client.POST('/api/brands/{brand_id}/undo', {
      params: { path: { brand_id: brandId } },
      body: { entry: step.entry, anyway: false },
    });
    void unwrap(asked)
      .catch((failed: Error) => setError(failed.message))
      .finally(() => {
        setBusy(false);
        again();
      });
  };
  return (
    <main className="waiting">
      <h1>This brand does not open</h1>
      <p role="alert">{problem.message}</p>
      {step ? (
        <>
          <p>Your newest change is “{step.label}”. Nothing is lost: taken back, it can be made again.</p>
          <button type="button" className="main-action" disabled={busy} onClick={takeBack}>
            Take back “{step.label}”
          </button>
        </>
      ) : (
        <p>
          There is no change of yours that could be taken back. Ask the others who work on it, or whoever runs this
          installation to look at its log.
        </p>
      )}
      {error && error !== problem.message && <p role="alert">{error}</p>}
      <button type="button" className="quiet-action" onClick={again}>
        Try again
      </button>
    </main>
  );
}
