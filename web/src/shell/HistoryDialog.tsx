import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Modal } from 'react-bootstrap';
import { client, unwrap } from '../api/client';
import { Editable } from '../parts/Editable';
import { useActions, useShown } from '../bench/useBench';

export type HistoryDialogProps = { close: () => void };

const TIME = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

/** What was changed, by whom and when, the newest first. Any point can be given a name. */
export function HistoryDialog({ close }: HistoryDialogProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { report } = useActions();
  const queries = useQueryClient();
  const key = ['history', brand.id];
  const path = { params: { path: { brand_id: brand.id } } };
  const history = useQuery({
    queryKey: key,
    queryFn: () => unwrap(client.GET('/api/brands/{brand_id}/history', path)),
    gcTime: 0,
  });
  const call = async (entry: number, name: string) => {
    const at = { params: { path: { brand_id: brand.id, entry_id: entry } }, body: { name } };
    try {
      await unwrap(client.PUT('/api/brands/{brand_id}/history/{entry_id}', at));
      await queries.invalidateQueries({ queryKey: key });
    } catch (problem) {
      report(problem);
    }
  };
  const entries = history.data?.entries ?? [];
  return (
    <Modal show onHide={close} aria-labelledby="history-title" scrollable>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="history-title">
          History
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {history.error && <p role="alert">{history.error.message}</p>}
        {history.isPending && <p role="status">Reading…</p>}
        {history.data && !entries.length && <p>Nothing has been changed yet.</p>}
        <ol className="history">
          {entries.map((one) => (
            <li key={one.entry} className={one.step === 'change' && !one.holds ? 'history-gone' : undefined}>
              <span>
                <b>{one.label}</b>
                <span className="soft">
                  {[one.author, TIME.format(new Date(one.at)), one.holds ? '' : 'taken back']
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
              <Editable
                label={`Name of the point “${one.label}”`}
                quietLabel
                placeholder="Name this point"
                value={one.name}
                disabled={!canWrite}
                onSave={(name) => void call(one.entry, name)}
              />
            </li>
          ))}
        </ol>
        {entries.length === 100 && <p className="soft">The newest hundred.</p>}
      </Modal.Body>
    </Modal>
  );
}
