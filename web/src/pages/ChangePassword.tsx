import { useState, type FormEvent } from 'react';
import { Modal } from 'react-bootstrap';
import { usePassword } from '../api/queries';

export type ChangePasswordProps = { username: string; close: () => void };

/** A person's own password. */
export function ChangePassword({ username, close }: ChangePasswordProps) {
  const password = usePassword();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const send = (event: FormEvent) => {
    event.preventDefault();
    password.mutate({ current, new: next });
  };
  return (
    <Modal show onHide={close} aria-labelledby="password-title" centered>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="password-title">
          Change your password
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {password.isSuccess ? (
          <p role="status">Your password is changed. Other browsers are signed out.</p>
        ) : (
          <form className="plain-form" onSubmit={send}>
            {/* For programs that keep passwords: whose it is. */}
            <input type="text" autoComplete="username" value={username} readOnly hidden />
            <label htmlFor="password-now">The password that you have now</label>
            <input
              id="password-now"
              type="password"
              autoComplete="current-password"
              value={current}
              onChange={(event) => setCurrent(event.target.value)}
            />
            <label htmlFor="password-new">The new one, of 12 characters or more</label>
            <input
              id="password-new"
              type="password"
              autoComplete="new-password"
              value={next}
              onChange={(event) => setNext(event.target.value)}
            />
            {password.isError && (
              <p role="alert" className="problem">
                {password.error.message}
              </p>
            )}
            <div className="form-actions">
              <button type="button" className="quiet-action" onClick={close}>
                Leave it
              </button>
              <button
                type="submit"
                className="main-action"
                disabled={!current || next.length < 12 || password.isPending}
              >
                Change it
              </button>
            </div>
          </form>
        )}
      </Modal.Body>
    </Modal>
  );
}
