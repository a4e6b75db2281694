import { useId, useState } from 'react';

export type ReasonFormProps = {
  label: string;
  example: string;
  /** What the button says. */
  action: string;
  /** The most characters of a reason. */
  most: number;
  busy: boolean;
  send: (reason: string) => void;
  close: () => void;
};

const LEAST = 3; // characters of a reason

/** Asks for a reason in words. */
export function ReasonForm({ label, example, action, most, busy, send, close }: ReasonFormProps) {
  const [reason, setReason] = useState('');
  const id = useId();
  const ready = reason.trim().length >= LEAST && !busy;
  return (
    <form
      className="waive"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) send(reason.trim());
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') close();
      }}
    >
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className="form-control"
        value={reason}
        maxLength={most}
        autoFocus
        placeholder={example}
        onChange={(event) => setReason(event.target.value)}
      />
      <button type="submit" className="best" disabled={!ready}>
        {action}
      </button>
      <button type="button" className="quiet-action" onClick={close}>
        Leave it
      </button>
    </form>
  );
}
