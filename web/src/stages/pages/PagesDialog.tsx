import { useId, useRef, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import type { Arrangement } from '../../api/client';
import { useLibrary } from '../../api/queries';
import { pageDocument } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Editable } from '../../parts/Editable';
import { Tabs } from '../../parts/Tabs';
import { MenuEditor } from './MenuEditor';
import { useStructure } from './structure';
import { useTakeOut } from './TakeOutDialog';
import { useRowDrag } from './useRowDrag';

export type PagesDialogProps = { close: () => void; open: (page: string) => void };

/** The pages of the site in their order, and the menu that leads to them. */
export function PagesDialog({ close, open }: PagesDialogProps) {
  const title = useId();
  const [tab, setTab] = useState<'pages' | 'menu'>('pages');
  return (
    <Modal show onHide={close} aria-labelledby={title} size="lg" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={title}>
          Pages and menu
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Tabs
          label="Pages and menu"
          prefix="site"
          tabs={[
            { id: 'pages', name: 'Pages' },
            { id: 'menu', name: 'Menu' },
          ]}
          shown={tab}
          show={(one) => setTab(one as 'pages' | 'menu')}
        />
        <div role="tabpanel" id="site-panel" aria-labelledby={`site-${tab}`}>
          {tab === 'pages' ? <PageList open={open} /> : <MenuEditor />}
        </div>
      </Modal.Body>
    </Modal>
  );
}

function PageList({ open }: { open: (page: string) => void }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const { arrange } = useStructure();
  const list = useRef<HTMLOListElement>(null);
  const takeOut = useTakeOut(() => undefined);
  const pages = brand.pages.map((one) => one.body);
  const move = (page: string, after: string) => void arrange({ do: 'move_page', page, after });
  const { held, grip } = useRowDrag(list, move);
  const run = async (operation: Arrangement) => {
    const made = await arrange(operation);
    if (made) open(made.page);
  };
  const flag = (page: string, key: 'menu' | 'searched', value: boolean, label: string) =>
    void change(label, [{ document: pageDocument(page), patch: [{ op: 'add', path: `/${key}`, value }] }]);
  return (
    <>
      <ol className="page-list" ref={list}>
        {brand.pages.map(({ body: page, file }, place) => (
          <li
            key={page.id}
            data-row={page.id}
            className={[
              held?.id === page.id ? 'held' : '',
              held?.at === place ? 'drop-before' : '',
              held?.at === pages.length && place === pages.length - 1 ? 'drop-after' : '',
            ].join(' ')}
          >
            {canWrite && (
              <span className="section-grip" aria-hidden="true" title="Drag to another place" {...grip(page.id)} />
            )}
            <div className="page-names">
              <Editable
                label={`Name of ${page.name}`}
                quietLabel
                disabled={!canWrite}
                value={page.name}
                onSave={(name) => name && void arrange({ do: 'rename_page', page: page.id, name })}
              />
              {place === 0 ? (
                <span className="page-file soft">{file}, the start page</span>
              ) : (
                <Editable
                  label={`Address of ${page.name}`}
                  quietLabel
                  className="page-file"
                  disabled={!canWrite}
                  value={page.address || page.id}
                  onSave={(address) => void arrange({ do: 'rename_page', page: page.id, name: page.name, address })}
                />
              )}
            </div>
            <div className="page-flags">
              {place > 0 && (
                <label>
                  <input
                    type="checkbox"
                    checked={page.menu ?? true}
                    disabled={!canWrite}
                    onChange={(event) =>
                      flag(
                        page.id,
                        'menu',
                        event.target.checked,
                        `${page.name} ${event.target.checked ? '' : 'not '}in the menu`,
                      )
                    }
                  />
                  in the menu
                </label>
              )}
              <label>
                <input
                  type="checkbox"
                  checked={page.searched ?? true}
                  disabled={!canWrite}
                  onChange={(event) =>
                    flag(
                      page.id,
                      'searched',
                      event.target.checked,
                      `${page.name} ${event.target.checked ? 'found by' : 'kept from'} search engines`,
                    )
                  }
                />
                found by search engines
              </label>
            </div>
            <div className="page-acts">
              <button
                type="button"
                className="quiet-action"
                disabled={!canWrite || place === 0}
                aria-label={`Move ${page.name} up`}
                onClick={() => move(page.id, pages[place - 2]?.id ?? '')}
              >
                ↑
              </button>
              <button
                type="button"
                className="quiet-action"
                disabled={!canWrite || place === pages.length - 1}
                aria-label={`Move ${page.name} down`}
                onClick={() => move(page.id, pages[place + 1]?.id ?? '')}
              >
                ↓
              </button>
              <button
                type="button"
                className="quiet-action"
                disabled={!canWrite}
                aria-label={`Duplicate ${page.name}`}
                onClick={() => void run({ do: 'duplicate_page', page: page.id })}
              >
                Duplicate
              </button>
              <button
                type="button"
                className="quiet-action"
                disabled={!canWrite || pages.length === 1}
                title={pages.length === 1 ? 'A site has at least one page.' : undefined}
                aria-label={`Take out ${page.name}`}
                onClick={() => void takeOut.start(page.name, { do: 'remove_page', page: page.id })}
              >
                Take out
              </button>
            </div>
          </li>
        ))}
      </ol>
      <AddPage add={(name) => run({ do: 'add_page', name, after: null })} />
      <Redirects />
      {takeOut.dialog}
    </>
  );
}

/** A page by its purpose: those that the kind of organisation usually has are offered, any other can be named. */
function AddPage({ add }: { add: (name: string) => Promise<void> }) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const library = useLibrary();
  const id = useId();
  const [name, setName] = useState('');
  const [adding, setAdding] = useState(false);
  const there = brand.pages.map((one) => one.body.name.toLowerCase());
  const usual = library.data?.organisations.find((one) => one.id === brand.identity.body.organisation)?.pages ?? [];
  const offered = usual.filter((one) => !there.includes(one.toLowerCase()));
  const send = async (wanted: string) => {
    if (!wanted.trim() || adding) return;
    setAdding(true);
    await add(wanted.trim());
    setAdding(false);
    setName('');
  };
  return (
    <form
      className="page-new"
      onSubmit={(event) => {
        event.preventDefault();
        void send(name);
      }}
    >
      <label htmlFor={id}>Add a page</label>
      <input
        id={id}
        value={name}
        maxLength={60}
        disabled={!canWrite}
        placeholder="What it is for, as visitors would call it"
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="main-action" disabled={!canWrite || adding || !name.trim()}>
        {adding ? 'Adding…' : 'Add'}
      </button>
      {offered.length > 0 && (
        <p className="page-usual">
          <span className="soft">Usual for this kind of organisation:</span>
          {offered.map((one) => (
            <button
              key={one}
              type="button"
              className="link"
              disabled={!canWrite || adding}
              onClick={() => void send(one)}
            >
              {one}
            </button>
          ))}
        </p>
      )}
    </form>
  );
}

/** Addresses that pages once had, and where they lead. */
function Redirects() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const moved = brand.frame.body.redirects ?? [];
  if (!moved.length) return null;
  const nameOf = (to: string) => {
    const id = to.replace(/^page:/, '').split('#')[0];
    return brand.pages.find((one) => one.body.id === id)?.body.name ?? to;
  };
  return (
    <section className="page-moved" aria-label="Old addresses">
      <h3>Old addresses lead on</h3>
      <ul>
        {moved.map((one, index) => (
          <li key={one.path}>
            <code>{one.path}</code> → {nameOf(one.to)}
            <button
              type="button"
              className="remove"
              disabled={!canWrite}
              aria-label={`Forget ${one.path}`}
              onClick={() =>
                void change(`${one.path} leads nowhere any more`, [
                  { document: 'frame', patch: [{ op: 'remove', path: `/redirects/${index}` }] },
                ])
              }
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
