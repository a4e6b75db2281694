import { useEffect, useId, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { client, unwrap } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';

const SECOND = 1000;

/** Minutes and seconds, as a clock that runs down shows them. */
export const clock = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** The site on a real phone: a code that leads to it in the local network, for an hour, when the designer allows it. */
export function OnPhone({ close }: { close: () => void }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { report } = useActions();
  const title = useId();
  const queries = useQueryClient();
  const at = { params: { path: { brand_id: brand.id } } };
  const key = ['phone', brand.id];
  const found = useQuery({
    queryKey: key,
    queryFn: async () => ({ ...(await unwrap(client.GET('/api/brands/{brand_id}/phone', at))), at: Date.now() }),
  });
  const opened = found.data?.opened;
  const [now, setNow] = useState(() => Date.now());
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), SECOND);
    return () => clearInterval(timer);
  }, []);
  const left = opened ? Math.max(0, opened.seconds - Math.round((now - (found.data?.at ?? now)) / SECOND)) : 0;
  const ask = async (way: 'POST' | 'DELETE') => {
    setBusy(true);
    try {
      const state = await unwrap(
        way === 'POST'
          ? client.POST('/api/brands/{brand_id}/phone', at)
          : client.DELETE('/api/brands/{brand_id}/phone', at),
      );
      queries.setQueryData(key, { ...state, at: Date.now() });
    } catch (problem) {
      report(problem);
    }
    setBusy(false);
  };
  const open = opened && left > 0;
  return (
    <Modal show onHide={close} aria-labelledby={title} centered>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={title}>
          On a phone
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="on-phone">
        {open ? (
          <>
            <img src={opened.code} alt="Code that leads to the preview" width={220} height={220} />
            <p>
              Point the phone’s camera at it. It must be in the same network as this machine.
              <br />
              <code>{opened.address}</code>
            </p>
            <p className="soft">
              It shows the site as it is now, each time that it is loaded, for another <b role="timer">{clock(left)}</b>{' '}
              minutes. Whoever has the address can look; forms send nothing.
            </p>
          </>
        ) : (
          <p>
            The site, as it is now, can be looked at on a phone in the same network as this machine. For that, this
            machine answers there for an hour, at an address that cannot be guessed, and nothing else of the studio is
            to be had.
          </p>
        )}
        {found.isError && <p role="alert">{found.error.message}</p>}
        <div className="form-actions">
          {open ? (
            <button
              type="button"
              className="quiet-action"
              disabled={!canWrite || busy}
              onClick={() => void ask('DELETE')}
            >
              Close it now
            </button>
          ) : (
            <button
              type="button"
              className="main-action"
              disabled={!canWrite || busy || found.isPending}
              onClick={() => void ask('POST')}
            >
              {busy ? 'Opening…' : 'Allow it for an hour'}
            </button>
          )}
        </div>
      </Modal.Body>
    </Modal>
  );
}
