import { useEffect, useId, useMemo, useRef, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import type { Library, Offer, Page } from '../../api/client';
import { useAdditions } from '../../api/pages';
import { stampOf } from '../../bench/documents';
import { useShown } from '../../bench/useBench';
import { placeSection, studioStyle } from '../../sheet/frames';
import { useStructure } from './structure';

export type AddSectionProps = {
  page: Page;
  kinds: Library['kinds'];
  /** The section that it is to stand after; null for the end of the page. */
  after: string | null;
  close: () => void;
  choose: (section: string) => void;
  /** The document of the page that is shown. */
  paper: () => Document | null;
};

type Kind = Library['kinds'][number];
const FRAME_KINDS = ['header', 'footer'];
const WIDTH = 1280;
const DRAWN = 0.68; // of the room; what a composition is called stands beside it
const LEAST = 96; // px of one on the screen
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Kinds that answer a need: those whose name has it first, then those that are looked for by it. */
export function wantedKinds(kinds: Kind[], need: string): Kind[] {
  const words = plain(need).split(/\s+/).filter(Boolean);
  const offered = kinds.filter((one) => !FRAME_KINDS.includes(one.id));
  const rank = (kind: Kind) => {
    const label = plain(kind.label);
    const all = `${label} ${plain(kind.needs)} ${plain(kind.layouts.map((one) => `${one.label} ${one.about}`).join(' '))}`;
    if (!words.every((word) => all.includes(word))) return 0;
    if (words.every((word) => label.includes(word))) return 3;
    return words.every((word) => `${label} ${plain(kind.needs)}`.includes(word)) ? 2 : 1;
  };
  return offered
    .map((kind) => ({ kind, rank: words.length ? rank(kind) : 1 }))
    .filter((one) => one.rank > 0)
    .sort((one, other) => other.rank - one.rank || one.kind.label.localeCompare(other.kind.label))
    .map((one) => one.kind);
}

/** Adds a section: looked for by what it is needed for, chosen by how it would stand there in the brand's own style. */
export function AddSection({ page, kinds, after, close, choose, paper }: AddSectionProps) {
  const title = useId();
  const search = useId();
  const { arrange } = useStructure();
  const [need, setNeed] = useState('');
  const [wanted, setWanted] = useState('');
  const found = useMemo(() => wantedKinds(kinds, need), [kinds, need]);
  const kind = found.find((one) => one.id === wanted) ?? found[0];
  const add = async ({ id, layout, content }: Offer, drawn: Document | null) => {
    if (!kind) return;
    // It stands on the page as it was offered, until the page is drawn with it.
    const shown = paper();
    const takeAway = shown && drawn ? placeSection(shown, drawn, id, after) : null;
    close();
    const made = await arrange({ do: 'add', page: page.id, after, kind: kind.id, layout, content });
    if (made) choose(made.section);
    else takeAway?.();
  };
  const before = after === null ? null : (page.sections ?? []).find((one) => one.id === after);
  const heading = before?.content?.['heading'];
  return (
    <Modal show onHide={close} aria-labelledby={title} size="xl" centered dialogClassName="add-dialog">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={title}>
          Add a section to {page.name}
          <small className="soft">
            {before ? `after “${typeof heading === 'string' ? heading : before.kind}”` : 'at the end'}
          </small>
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="add-body">
        <div className="add-kinds">
          <label htmlFor={search}>What is it needed for?</label>
          <input
            id={search}
            type="search"
            autoFocus
            value={need}
            placeholder="prices, who we are, how to find us"
            onChange={(event) => setNeed(event.target.value)}
          />
          <ul aria-label="Kinds of section">
            {found.map((one) => (
              <li key={one.id}>
                <button
                  type="button"
                  aria-pressed={one === kind}
                  onClick={() => setWanted(one.id)}
                  onFocus={() => setWanted(one.id)}
                >
                  <b>{one.label}</b>
                  <span className="soft">{one.needs}</span>
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && (
            <p className="soft" role="status">
              Nothing is called that. Try another word, or take “Text” and write what is needed.
            </p>
          )}
        </div>
        {kind && <Offered key={kind.id} kind={kind} add={(offer, drawn) => void add(offer, drawn)} />}
      </Modal.Body>
    </Modal>
  );
}

type OfferedProps = { kind: Kind; add: (offer: Offer, drawn: Document | null) => void };
type Place = { id: string; top: number; height: number };

/** The compositions of a kind, drawn one under another; each is a button. */
function Offered({ kind, add }: OfferedProps) {
  const { brand, look, saving } = useShown('brand', 'look', 'saving');
  // What is still on its way to be stored may change what can be added: it is not drawn of what was before.
  const found = useAdditions(brand.id, kind.id, stampOf(brand), look.scheme, !saving);
  const drawn = saving ? undefined : found.data;
  const box = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [room, setRoom] = useState(0);
  const [places, setPlaces] = useState<Place[]>([]);
  const [height, setHeight] = useState(0);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const scale = (room * DRAWN) / WIDTH;
  const measure = () => {
    const document = frame.current?.contentDocument;
    if (!document) return;
    document.querySelectorAll<HTMLElement>('body > :not(main)').forEach((one) => (one.style.display = 'none'));
    studioStyle(document, scale);
    const sections = Array.from(document.querySelectorAll<HTMLElement>('main > [data-section]'));
    sections.forEach((one, index) => {
      one.style.marginTop = index ? `${24 / scale}px` : '0';
      one.style.minHeight = `${LEAST / scale}px`;
    });
    setPlaces(
      sections.map((one) => ({
        id: one.dataset['section'] ?? '',
        top: one.offsetTop,
        height: one.offsetHeight,
      })),
    );
    setHeight(document.body.scrollHeight);
  };
  const said = drawn?.offers[0]?.said_on;
  return (
    <div className="add-offers" ref={box} aria-busy={found.isFetching}>
      {found.isError && <p role="alert">{found.error.message}</p>}
      {!drawn && !found.isError && <p className="soft">Drawing…</p>}
      {said && (
        <p className="soft add-said">These words stand on {said} already; they can be changed once it is added.</p>
      )}
      {drawn && room > 0 && (
        <div className="add-paper" style={{ height: height * scale }}>
          <iframe
            ref={frame}
            title={`${kind.label}, drawn`}
            sandbox="allow-same-origin"
            srcDoc={drawn.html}
            tabIndex={-1}
            aria-hidden="true"
            onLoad={measure}
            style={{ width: WIDTH, height: Math.max(height, 200), transform: `scale(${scale})` }}
          />
          {drawn.offers.map((offer) => {
            const place = places.find((one) => one.id === offer.id);
            return (
              place && (
                <button
                  key={offer.id}
                  type="button"
                  className="add-offer"
                  aria-label={`Add ${kind.label}: ${offer.label}. ${offer.about}`}
                  style={{ top: place.top * scale, height: place.height * scale }}
                  onClick={() => add(offer, frame.current?.contentDocument ?? null)}
                >
                  <span>
                    <b>{offer.label}</b>
                    {offer.about}
                    <i>Add it</i>
                  </span>
                </button>
              )
            );
          })}
        </div>
      )}
    </div>
  );
}
