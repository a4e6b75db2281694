import Modal from 'react-bootstrap/Modal';
import { useActions, useShown } from '../bench/useBench';

type Since = { label: string; author: string; at: string; patch: { op: string; path: string; value?: unknown }[] };

function show(value: unknown): string {
  if (value === undefined) return 'taken out';
  return typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
}

/** Somebody else was faster: what they changed, what one wanted, and the choice. Nothing is lost. */
export function StaleDialog() {
  const { stale } = useShown('stale');
  const { settle } = useActions();
  if (!stale) return null;
  const since = (stale.problem.body['changed'] ?? []) as Since[];
  return (
    <Modal show onHide={() => void settle(false)} aria-labelledby="stale-title" centered>
      <Modal.Header>
        <Modal.Title as="h2" id="stale-title">
          Somebody was faster
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{stale.problem.message}</p>
        <h3>Theirs</h3>
        <ul>
          {since.map((one, index) => (
            <li key={index}>
              {one.label}
              {one.author && ` (${one.author})`}
              {one.patch.slice(0, 3).map((part, place) => (
                <span key={place} className="soft">
                  {' '}
                  {part.path.split('/').slice(-2).join(' ')}: {show(part.value)}
                </span>
              ))}
            </li>
          ))}
        </ul>
        <h3>Yours</h3>
        <ul>
          <li>
            {stale.label}
            {stale.changes
              .flatMap((one) => one.patch)
              .slice(0, 3)
              .map((part, place) => (
                <span key={place} className="soft">
                  {' '}
                  {part.path.split('/').slice(-2).join(' ')}: {show(part.value)}
                </span>
              ))}
          </li>
        </ul>
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="quiet-action" onClick={() => void settle(false)}>
          Leave theirs
        </button>
        <button type="button" className="main-action" onClick={() => void settle(true)}>
          Make mine again
        </button>
      </Modal.Footer>
    </Modal>
  );
}
