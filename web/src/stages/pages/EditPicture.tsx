import { useEffect, useId, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { usePictures, type PictureEdits } from './usePictures';

export type EditPictureProps = {
  picture: { id: string; name: string };
  close: () => void;
  /** Called with the picture that was made, which is to stand where this one does. */
  put: (id: string, name: string) => void;
};

type Turn = 0 | 90 | 180 | 270;
type Crop = { x: number; y: number; width: number; height: number };
const WHOLE: Crop = { x: 0, y: 0, width: 1, height: 1 };
const PAUSE = 200; // ms without a move, after which it is tried
const PLAIN = 0.06;

const SIDES = [
  { key: 'left', name: 'Off the left' },
  { key: 'top', name: 'Off the top' },
  { key: 'right', name: 'Off the right' },
  { key: 'foot', name: 'Off the foot' },
] as const;
type Sides = Record<(typeof SIDES)[number]['key'], number>;

export const cropOf = ({ left, top, right, foot }: Sides): Crop => ({
  x: left / 100,
  y: top / 100,
  width: Math.max(0.05, (100 - left - right) / 100),
  height: Math.max(0.05, (100 - top - foot) / 100),
});

/** Light work on a photograph, tried on it at once: turned, straightened, cut, lighter or darker, a plain background taken away. It
 *  makes another picture; the one that it is done on stays. */
export function EditPicture({ picture, close, put }: EditPictureProps) {
  const title = useId();
  const { edit, tried } = usePictures();
  const [turn, setTurn] = useState<Turn>(0);
  const [straighten, setStraighten] = useState(0);
  const [exposure, setExposure] = useState(0);
  const [plain, setPlain] = useState<number | null>(null);
  const [sides, setSides] = useState<Sides>({ left: 0, top: 0, right: 0, foot: 0 });
  const [seen, setSeen] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const crop = cropOf(sides);
  const edits: PictureEdits = { turn, straighten, exposure, plain, crop };
  const asked = JSON.stringify(edits);
  const untouched = asked === JSON.stringify({ turn: 0, straighten: 0, exposure: 0, plain: null, crop: WHOLE });
  useEffect(() => {
    const waiting = new AbortController();
    const timer = setTimeout(() => {
      tried(picture.id, JSON.parse(asked) as PictureEdits, waiting.signal).then(
        (address) => {
          setProblem('');
          setSeen(address);
        },
        (error: Error) => {
          if (!waiting.signal.aborted) setProblem(error.message);
        },
      );
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      waiting.abort();
    };
    // What is tried follows from what is asked for alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked, picture.id]);
  const make = async () => {
    setBusy(true);
    try {
      const made = await edit(picture.id, edits);
      put(made.id, made.name);
      close();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
    setBusy(false);
  };
  const slider = (
    label: string,
    value: number,
    set: (value: number) => void,
    least: number,
    most: number,
    step: number,
    unit: string,
  ) => (
    <label>
      <span>
        {label} <small>{`${value > 0 && least < 0 ? '+' : ''}${value} ${unit}`}</small>
      </span>
      <input
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        onChange={(event) => set(Number(event.target.value))}
      />
    </label>
  );
  return (
    <Modal show onHide={close} aria-labelledby={title} size="xl" centered>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id={title}>
          {picture.name || 'A picture'}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="edit-picture">
        <div className={`edit-picture-seen${plain === null ? '' : ' is-clear'}`}>
          {seen ? <img src={seen} alt={`${picture.name}, as it would be`} /> : <p className="soft">Drawing…</p>}
        </div>
        <div className="edit-picture-work">
          <div role="group" aria-label="Turn">
            <button type="button" className="quiet-action" onClick={() => setTurn(((turn + 270) % 360) as Turn)}>
              ↺ Turn left
            </button>
            <button type="button" className="quiet-action" onClick={() => setTurn(((turn + 90) % 360) as Turn)}>
              ↻ Turn right
            </button>
          </div>
          {slider('Straighten', straighten, setStraighten, -15, 15, 0.5, '°')}
          {slider('Light', exposure, setExposure, -2, 2, 0.1, 'stops')}
          <fieldset>
            <legend>Cut</legend>
            {SIDES.map((side) => (
              <label key={side.key}>
                <span>
                  {side.name} <small>{sides[side.key]} %</small>
                </span>
                <input
                  type="range"
                  min={0}
                  max={90}
                  value={sides[side.key]}
                  onChange={(event) => setSides({ ...sides, [side.key]: Number(event.target.value) })}
                />
              </label>
            ))}
          </fieldset>
          <label className="slot-check">
            <input
              type="checkbox"
              checked={plain !== null}
              onChange={(event) => setPlain(event.target.checked ? PLAIN : null)}
            />
            take a plain background away
          </label>
          {plain !== null && slider('How much of it', plain, setPlain, 0.01, 0.3, 0.01, 'ΔE')}
          {problem && (
            <p role="alert" className="problem">
              {problem}
            </p>
          )}
          <div className="form-actions">
            <button type="button" className="quiet-action" onClick={close}>
              Leave it
            </button>
            <button
              type="button"
              className="main-action"
              disabled={busy || untouched || problem !== ''}
              onClick={() => void make()}
            >
              {busy ? 'Making…' : 'Put it there'}
            </button>
          </div>
          <p className="soft">It becomes a picture of its own; this one stays among the brand’s.</p>
        </div>
      </Modal.Body>
    </Modal>
  );
}
