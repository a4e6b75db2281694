import { useState } from 'react';
import type { Finding } from '../../api/client';
import { useSession } from '../../api/queries';
import { CHECKS } from '../../bench/documents';
import { useActions } from '../../bench/useBench';
import { ReasonForm } from './ReasonForm';

export type WaiveFormProps = { finding: Finding; close: () => void };

const today = () => new Date().toISOString().slice(0, 10);

/** Accepts a finding, with a reason, in one’s own name. */
export function WaiveForm({ finding, close }: WaiveFormProps) {
  const { change, say } = useActions();
  const person = useSession().data?.person;
  const [busy, setBusy] = useState(false);
  const send = async (reason: string) => {
    if (!person) return;
    setBusy(true);
    const value = {
      rule: finding.rule,
      page: finding.page,
      section: finding.section,
      mark: finding.mark,
      message: finding.message.slice(0, 600),
      reason,
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
    <ReasonForm
      label="Why it may stay as it is"
      example="The client has approved it, for this season"
      action="Waive"
      most={400}
      busy={busy || !person}
      send={(reason) => void send(reason)}
      close={close}
    />
  );
}
