import { useEffect, useId, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { CutFrame } from './CutFrame';
import { proportioned, WHOLE, type Cut } from './cut';
import { EdgeBrush, type Stroke } from './EdgeBrush';
import { usePictures, type PictureEdits } from './usePictures';

export type EditPictureProps = {
  picture: { id: string; name: string };
  close: () => void;
  /** Called with the picture that was made, which is to stand where this one does. */
  put: (id: string, name: string) => void;
};

type Turn = 0 | 90 | 180 | 270;
const PAUSE = 200; // ms without a move, after which it is tried
const PLAIN = 0.06;
const BRUSH = 0.03; // of the longer side
const MOST_STROKES = 120;
const PROPORTIONS = [
  { name: 'square', ratio: 1 },
  { name: '4 : 3', ratio: 4 / 3 },
  { name: '3 : 2', ratio: 3 / 2 },
  { name: '16 : 9', ratio: 16 / 9 },
  { name: '3 : 4', ratio: 3 / 4 },
  { name: '2 : 3', ratio: 2 / 3 },
] as const;

/** Light work on a photograph, tried on it at once: turned, straightened, cut by a frame, lighter or darker, a plain background taken
 *  away and its edge mended with a brush. It makes another picture; the one that it is done on stays. */
export function EditPicture({ picture, close, put }: EditPictureProps) {
  const title = useId();
  const { edit, tried } = usePictures();
  const [turn, setTurn] = useState<Turn>(0);
  const [straighten, setStraighten] = useState(0);
  const [exposure, setExposure] = useState(0);
  const [plain, setPlain] = useState<number | null>(null);
  const [crop, setCrop] = useState<Cut>(WHOLE);
  const [strokes, setStrokes] = useState<Stroke[]>([]);
  const [tool, setTool] = useState<'look' | 'cut' | 'keep' | 'away'>('look');
  const [brush, setBrush] = useState(BRUSH);
  const [shape, setShape] = useState(1); // width to height of what is seen
  const [seen, setSeen] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const edits: PictureEdits = { turn, straighten, exposure, plain, crop, strokes };
  // While it is cut, the whole of it is seen, with its background: what is left tells how that is found.
  const asked = JSON.stringify(tool === 'cut' ? { ...edits, crop: WHOLE, plain: null, strokes: [] } : edits);
  const untouched =
    JSON.stringify(edits) ===
    JSON.stringify({ turn: 0, straighten: 0, exposure: 0, plain: null, crop: WHOLE, strokes: [] });
  const rotate = (by: number) => {
    setTurn(((turn + by) % 360) as Turn);
    setCrop(WHOLE);
    setStrokes([]);
  };
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
          {seen ? (
            <div className="edit-picture-paper">
              <img
                src={seen}
                alt={`${picture.name}, as it would be`}
                draggable={false}
                onLoad={(event) => setShape(event.currentTarget.naturalWidth / event.currentTarget.naturalHeight || 1)}
              />
              {tool === 'cut' && <CutFrame cut={crop} onCut={setCrop} />}
              {(tool === 'keep' || tool === 'away') && (
                <EdgeBrush
                  keep={tool === 'keep'}
                  radius={brush}
                  cut={crop}
                  shape={shape}
                  onStroke={(stroke) => setStrokes([...strokes, stroke].slice(-MOST_STROKES))}
                />
              )}
            </div>
          ) : (
            <p className="soft">Drawing…</p>
          )}
        </div>
        <div className="edit-picture-work">
          <div role="group" aria-label="Turn">
            <button type="button" className="quiet-action" onClick={() => rotate(270)}>
              ↺ Turn left
            </button>
            <button type="button" className="quiet-action" onClick={() => rotate(90)}>
              ↻ Turn right
            </button>
          </div>
          {slider(
            'Straighten',
            straighten,
            (value) => {
              setStraighten(value);
              setStrokes([]); // what they were painted over lies elsewhere now
            },
            -15,
            15,
            0.5,
            '°',
          )}
          {slider('Light', exposure, setExposure, -2, 2, 0.1, 'stops')}
          <div role="group" aria-label="Cut">
            <button
              type="button"
              className="quiet-action"
              aria-pressed={tool === 'cut'}
              onClick={() => setTool(tool === 'cut' ? 'look' : 'cut')}
            >
              {tool === 'cut' ? 'See it cut' : 'Cut…'}
            </button>
            {tool === 'cut' && (
              <select
                aria-label="Proportions"
                value=""
                onChange={(event) => setCrop(proportioned(crop, Number(event.target.value), shape))}
              >
                <option value="">proportions…</option>
                {PROPORTIONS.map((one) => (
                  <option key={one.name} value={one.ratio}>
                    {one.name}
                  </option>
                ))}
              </select>
            )}
            {JSON.stringify(crop) !== JSON.stringify(WHOLE) && (
              <button type="button" className="quiet-action" onClick={() => setCrop(WHOLE)}>
                Whole
              </button>
            )}
          </div>
          <label className="slot-check">
            <input
              type="checkbox"
              checked={plain !== null}
              onChange={(event) => {
                setPlain(event.target.checked ? PLAIN : null);
                setTool('look');
              }}
            />
            take a plain background away
          </label>
          {plain !== null && (
            <>
              {slider('How much of it', plain, setPlain, 0.01, 0.3, 0.01, 'ΔE')}
              <div role="group" aria-label="Mend the edge">
                {(['keep', 'away'] as const).map((one) => (
                  <button
                    key={one}
                    type="button"
                    className="quiet-action"
                    aria-pressed={tool === one}
                    onClick={() => setTool(tool === one ? 'look' : one)}
                  >
                    {one === 'keep' ? 'Paint back' : 'Paint away'}
                  </button>
                ))}
                {strokes.length > 0 && (
                  <button type="button" className="quiet-action" onClick={() => setStrokes(strokes.slice(0, -1))}>
                    Last stroke back
                  </button>
                )}
              </div>
              {(tool === 'keep' || tool === 'away') &&
                slider('Brush', brush * 100, (value) => setBrush(value / 100), 0.5, 20, 0.5, '%')}
            </>
          )}
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
