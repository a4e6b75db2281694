import { useState } from 'react';
import { Editable } from '../../parts/Editable';
import { Drawings } from './Drawings';
import { useShown } from '../../bench/useBench';
import { AddingPictures } from './AddingPictures';
import { EditPicture } from './EditPicture';
import { FocusPoint } from './FocusPoint';
import { picturesIn, usePictures } from './usePictures';

import type { Focus, Overlay } from '../../api/client';

export type PictureValue = {
  source: string;
  alt: string;
  decorative: boolean;
  credit?: string;
  fit?: 'fills' | 'whole';
  focus?: Focus;
  overlay?: Overlay;
};

export type PictureSlotProps = {
  path: string;
  label: string;
  picture: PictureValue;
  put: (slot: string, value: unknown, label: string) => void;
  disabled: boolean;
  /** Whether texts stand on it, where what stays in sight is set beside what they need. */
  inSight?: boolean;
};

/** A picture: one of the brand’s own or a drawing, its description, and whether it only decorates. */
export function PictureSlot({ path, label, picture, put, disabled, inSight = false }: PictureSlotProps) {
  const [kind = '', seed = '0'] = picture.source.replace('drawn:', '').split('/');
  const [open, setOpen] = useState(false);
  const drawn = picture.source.startsWith('drawn:');
  const id = path.replaceAll('/', '-');
  const own = useShown('brand').brand.pictures;
  const { adding, add, stop, close } = usePictures();
  const [working, setWorking] = useState(false);
  const [dragged, setDragged] = useState<Focus | null>(null);
  const point = dragged ?? picture.focus ?? { x: 0.5, y: 0.5 };
  const mine = own.find((one) => picture.source === `asset:${one.id}`);
  const place = (key: string, name: string) =>
    put(
      path,
      {
        source: `asset:${key}`,
        alt: name || picture.alt,
        decorative: !(name || picture.alt),
        overlay: picture.overlay,
      },
      `Picture: ${name.slice(0, 60) || key}`,
    );
  const take = async (files: File[]) => {
    const [first] = await add(files);
    if (first) place(first.id, first.name);
  };
  const choose = (source: string) => {
    const chosen = own.find((one) => source === `asset:${one.id}`);
    const value = chosen
      ? { source, alt: chosen.name, decorative: false }
      : { source: `drawn:${source}/${drawn ? seed : '7'}`, alt: '', decorative: true };
    // The overlay stays; what stays in sight is another thing in another picture.
    put(
      path,
      { ...value, overlay: picture.overlay },
      chosen ? `Picture: ${chosen.name.slice(0, 60)}` : 'Another drawing',
    );
  };
  return (
    <div className="slot slot-picture">
      <span>{label}</span>
      <select
        aria-label={`Picture for ${label}`}
        value={drawn ? kind : picture.source}
        disabled={disabled}
        onChange={(event) => choose(event.target.value)}
      >
        {own.length > 0 && (
          <optgroup label="The brand’s own">
            {own.map((one) => (
              <option key={one.id} value={`asset:${one.id}`}>
                {one.name}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="Drawn in the brand’s colours">
          <option value={drawn ? kind : 'arcs'}>{drawn ? kind : 'a drawing'}</option>
        </optgroup>
      </select>
      {drawn && (
        <button
          type="button"
          className="quiet-action"
          disabled={disabled}
          onClick={() => put(`${path}/source`, `drawn:${kind}/${(Number(seed) * 7 + 13) % 1000}`, 'Drawn anew')}
        >
          Draw anew
        </button>
      )}
      <button
        type="button"
        className="remove"
        disabled={disabled}
        aria-label={`Take out ${label}`}
        onClick={() => put(path, null, `${label} taken out`)}
      >
        ×
      </button>
      <button
        type="button"
        className="quiet-action"
        aria-expanded={open}
        disabled={disabled}
        onClick={() => setOpen(!open)}
      >
        Drawings
      </button>
      <label className="quiet-action slot-file">
        Add…
        <input
          type="file"
          multiple
          accept="image/*,.svg"
          aria-label={`Add pictures for ${label}`}
          disabled={disabled || adding?.now !== undefined}
          onChange={(event) => {
            void take(picturesIn(event.target.files));
            event.target.value = '';
          }}
        />
      </label>
      {mine && !mine.address.startsWith('data:') && (
        <button type="button" className="quiet-action" disabled={disabled} onClick={() => setWorking(true)}>
          Work on it…
        </button>
      )}
      {mine && (
        <p className="soft slot-size">
          {mine.size
            ? `${mine.width} × ${mine.height} px, ${Math.round(mine.size / 1000)} kB at its largest`
            : mine.address.startsWith('data:')
              ? 'A drawing: sharp at any size'
              : `${mine.width} × ${mine.height} px`}
        </p>
      )}
      {mine && !inSight && !mine.address.startsWith('data:') && (
        <>
          <FocusPoint
            picture={mine.address}
            focus={point}
            disabled={disabled}
            onDrag={setDragged}
            onDone={() => {
              if (dragged) put(`${path}/focus`, dragged, 'Point that stays in sight');
              setDragged(null);
            }}
          />
          <label className="slot-check">
            <input
              type="checkbox"
              checked={picture.fit === 'whole'}
              disabled={disabled}
              onChange={(event) =>
                put(
                  `${path}/fit`,
                  event.target.checked ? 'whole' : 'fills',
                  event.target.checked ? 'Picture shown whole' : 'Picture fills its place',
                )
              }
            />
            show it whole in its place
          </label>
        </>
      )}
      {working && mine && <EditPicture picture={mine} close={() => setWorking(false)} put={place} />}
      {adding && <AddingPictures adding={adding} stop={stop} close={close} />}
      {open && <Drawings current={drawn ? kind : ''} choose={choose} disabled={disabled} />}
      <label htmlFor={`decorative-${id}`} className="slot-check">
        <input
          id={`decorative-${id}`}
          type="checkbox"
          checked={picture.decorative}
          disabled={disabled}
          onChange={(event) =>
            put(
              `${path}/decorative`,
              event.target.checked,
              event.target.checked ? 'Picture only decorates' : 'Picture says something',
            )
          }
        />
        only decorates
      </label>
      {!picture.decorative && (
        <Editable
          label="Description"
          disabled={disabled}
          value={picture.alt}
          placeholder="What it shows, for people who do not see it"
          onSave={(alt) => put(`${path}/alt`, alt, 'Picture described')}
        />
      )}
      <Editable
        label="Credit"
        disabled={disabled}
        value={picture.credit ?? ''}
        placeholder="Who made it, shown on it"
        onSave={(credit) =>
          put(`${path}/credit`, credit, credit ? `Credit: ${credit.slice(0, 60)}` : 'Credit taken out')
        }
      />
    </div>
  );
}
