import { useId, type FormEvent, type ReactNode } from 'react';
import { Modal } from 'react-bootstrap';

export type AskDialogProps = {
  title: string;
  /** What its two buttons say: to leave all as it is, and to do what is asked. */
  leave: string;
  doIt: string;
  ready: boolean;
  error: Error | null;
  send: () => void;
  close: () => void;
  /** Said instead of the form once it is done. */
  done?: string | undefined;
  children: ReactNode;
};

/** A dialog with a form that is sent or left. */
export function AskDialog({ title, leave, doIt, ready, error, send, close, done, children }: AskDialogProps) {
  const id = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (ready) send();
  };
  return (
    <Modal show onHide={close} aria-labelledby={id} centered>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={id}>
          {title}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {done ? (
          <p role="status">{done}</p>
        ) : (
          <form className="plain-form" onSubmit={submit}>
            {children}
            {error && (
              <p role="alert" className="problem">
                {error.message}
              </p>
            )}
            <div className="form-actions">
              <button type="button" className="quiet-action" onClick={close}>
                {leave}
              </button>
              <button type="submit" className="main-action" disabled={!ready}>
                {doIt}
              </button>
            </div>
          </form>
        )}
      </Modal.Body>
    </Modal>
  );
}
