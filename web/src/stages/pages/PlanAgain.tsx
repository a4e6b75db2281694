import { useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { client, unwrap, type Planned } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';

/** Pages follow the brief by themselves until somebody edits them; afterwards, planning again shows what it would change,
 * and leaves what was edited or locked. */
export function PlanAgain() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { write, afterChanges, report, say } = useActions();
  const [proposal, setPlanned] = useState<Planned | null>(null);
  const path = { params: { path: { brand_id: brand.id } } };
  const ask = async () => {
    try {
      setPlanned(await afterChanges(() => unwrap(client.GET('/api/brands/{brand_id}/plan', path))));
    } catch (error) {
      report(error);
    }
  };
  const plan = async () => {
    setPlanned(null);
    try {
      await write(
        (headers) => unwrap(client.POST('/api/brands/{brand_id}/plan', { ...path, headers })),
        (answer) => answer,
      );
      say('The pages are planned anew from the brief.');
    } catch (error) {
      report(error);
    }
  };
  const differences = proposal?.differences ?? [];
  return (
    <div className="plan-again">
      {brand.edited ? (
        <>
          <p className="soft">Edited by hand, so the pages no longer follow the brief by themselves.</p>
          <button type="button" className="quiet-action" disabled={!canWrite} onClick={() => void ask()}>
            Plan again from the brief
          </button>
        </>
      ) : (
        <p className="soft">Planned from the brief; they follow it until you edit them.</p>
      )}
      <Modal
        show={proposal !== null}
        onHide={() => setPlanned(null)}
        aria-labelledby="plan-title"
        centered
        size="lg"
        scrollable
      >
        <Modal.Header>
          <Modal.Title as="h2" id="plan-title">
            {differences.length ? 'What planning again changes' : 'Planning again changes nothing'}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <p className="soft">What you have edited or locked stays as it is.</p>
          <ul className="differences">
            {differences.map((one, index) => (
              <li key={index}>
                <b>{[one.page, one.named, one.slot].filter(Boolean).join(' · ')}</b>
                {one.before && <del>{one.before}</del>}
                {one.after && <ins>{one.after}</ins>}
              </li>
            ))}
          </ul>
        </Modal.Body>
        <Modal.Footer>
          <button type="button" className="quiet-action" onClick={() => setPlanned(null)}>
            Leave the pages
          </button>
          {differences.length > 0 && (
            <button type="button" className="main-action" onClick={() => void plan()}>
              Plan again
            </button>
          )}
        </Modal.Footer>
      </Modal>
    </div>
  );
}
