import { useId, useState, type FormEvent } from 'react';
import type { Finding } from '../../api/client';
import { useSession } from '../../api/queries';
import { CHECKS } from '../../bench/documents';
import { useActions } from '../../bench/useBench';

export type WaiveFormProps = { finding: Finding; close: () => void };

const today = () => new Date().toISOString().slice(0, 10);

/** Accepts a finding, with a reason, in one’s own name. */
export function WaiveForm({ finding, close }: WaiveFormProps) {
  const { change, say } = useActions();
  const person = useSession().data?.person;
  const [reason, setReason] = useState('');
  const [busy, setBusy] = useState(false);
  const id = useId();
  const ready = reason.trim().length >= 3 && !busy && person;
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (!ready) return;
    setBusy(true);
    const value = {
      rule: finding.rule,
      page: finding.page,
      section: finding.section,
      mark: finding.mark,
      message: finding.message.slice(0, 600),
      reason: reason.trim(),
      by: person.name,
      on: today(),
    };
    const done = await change(`Waived: ${finding.message}`.slice(0, 200), [
      { document: CHECKS, patch: [{ op: 'add', path: '/waivers/-', value }] },
    ]);
    setBusy(false);
    if (done) say('The finding is waived. It comes back when what it is about changes.');
    if (done) close();
  };
  return (
    <form
      className="waive"
      onSubmit={(event) => void send(event)}
      onKeyDown={(event) => {
        if (event.key === 'Escape') close();
      }}
    >
      <label htmlFor={id}>Why it may stay as it is</label>
      <input
        id={id}
        className="form-control"
        value={reason}
        maxLength={400}
        autoFocus
        placeholder="The client has approved it, for this season"
        onChange={(event) => setReason(event.target.value)}
      />
      <button type="submit" className="best" disabled={!ready}>
        Waive
      </button>
      <button type="button" className="quiet-action" onClick={close}>
        Leave it
      </button>
    </form>
  );
}
