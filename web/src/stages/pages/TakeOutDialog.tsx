import { useId, useState } from 'react';
import { AskDialog } from '../../parts/AskDialog';
import type { Arranged, Arrangement } from '../../api/client';
import { pageLink } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';
import { useStructure } from './structure';

export type Asking = { name: string; operation: Arrangement; made: Arranged };

/** Takes a section or a page out. Where something leads to it, it is told what, and asked where that leads then. */
export function useTakeOut(after: () => void) {
  const { plan, make } = useStructure();
  const { report, say } = useActions();
  const [asking, setAsking] = useState<Asking | null>(null);
  const finish = async (name: string, made: Arranged) => {
    setAsking(null);
    after();
    if (await make(made)) say(`${name} taken out.`);
  };
  const start = async (name: string, operation: Arrangement) => {
    try {
      const made = await plan(operation);
      if (made.leads.length) setAsking({ name, operation, made });
      else await finish(name, made);
    } catch (problem) {
      report(problem);
    }
  };
  const dialog = asking && (
    <TakeOutDialog
      asking={asking}
      close={() => setAsking(null)}
      send={async (to) => {
        try {
          await finish(asking.name, to ? await plan({ ...asking.operation, lead_to: to } as Arrangement) : asking.made);
        } catch (problem) {
          setAsking(null);
          report(problem);
        }
      }}
    />
  );
  return { start, dialog };
}

type TakeOutDialogProps = { asking: Asking; close: () => void; send: (to: string) => Promise<void> };

function TakeOutDialog({ asking, close, send }: TakeOutDialogProps) {
  const { brand } = useShown('brand');
  const id = useId();
  const page = 'page' in asking.operation ? asking.operation.page : '';
  const whole = asking.operation.do === 'remove_page';
  const others = brand.pages.filter((one) => !whole || one.body.id !== page);
  const [to, setTo] = useState(pageLink(whole ? (others[0]?.body.id ?? '') : page));
  const nameOf = (one: string) => brand.pages.find((each) => each.body.id === one)?.body.name;
  const where = (lead: Arranged['leads'][number]) =>
    lead.found_in === 'menu' ? 'in the menu' : lead.found_in === 'address' ? 'an old address' : nameOf(lead.page);
  return (
    <AskDialog
      title={`${counted(asking.made.leads.length, 'link')} to ${asking.name}`}
      leave="Keep it"
      doIt="Take it out"
      ready
      error={null}
      send={() => void send(to)}
      close={close}
    >
      <ul className="leads">
        {asking.made.leads.map((lead, index) => (
          <li key={index}>
            <b>{lead.label}</b> <span className="soft">{where(lead) ?? 'header and footer'}</span>
          </li>
        ))}
      </ul>
      <label htmlFor={id}>These then lead to</label>
      <select id={id} value={to} onChange={(event) => setTo(event.target.value)}>
        {others.map((one) => (
          <option key={one.body.id} value={pageLink(one.body.id)}>
            {one.body.name}
          </option>
        ))}
      </select>
      {whole && <p className="soft">The page’s address leads there, too. Entries of the menu go with the page.</p>}
    </AskDialog>
  );
}
