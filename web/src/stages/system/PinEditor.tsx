import { useState } from 'react';
import { pointer } from '../../api/client';
import { CHOICES } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Picker } from './Picker';

export type PinEditorProps = {
  /** Path of the token, as the choices write it: with "dark:" for the dark scheme. */
  path: string;
  /** What it has now. */
  css: string;
  name: string;
  /** For a colour: what it stands on and the ratio that it needs there. */
  on?: { background: string; required: number } | undefined;
};

/** Fixes a token by hand, or releases it. Any CSS colour form; the value is kept as it is and checked. */
export function PinEditor({ path, css, name, on }: PinEditorProps) {
  const { brand, choices, canWrite } = useShown('brand', 'choices', 'canWrite');
  const { change, draft, endDraft } = useActions();
  const pinned = choices.pins?.[path];
  const [open, setOpen] = useState(false);
  const [value, setValue] = useState('');
  const pin = async (event: React.FormEvent) => {
    event.preventDefault();
    const patch = [{ op: 'add' as const, path: pointer('pins', path), value: value.trim() }];
    if (value.trim() && (await change(`${name} pinned at ${value.trim()}`, [{ document: CHOICES, patch }])))
      setOpen(false);
  };
  // What is picked is seen on all pages before it is pinned.
  const show = (next: string) => {
    setValue(next);
    const stored = brand.choices.body;
    draft({ ...stored, pins: { ...stored.pins, [path]: next } });
  };
  const leave = () => {
    endDraft();
    setOpen(false);
  };
  const release = () =>
    void change(`${name} released`, [{ document: CHOICES, patch: [{ op: 'remove', path: pointer('pins', path) }] }]);
  if (!canWrite) return null;
  if (!open)
    return (
      <span className="pin-actions">
        {pinned !== undefined && (
          <button type="button" className="quiet-action" onClick={release}>
            Release the pin
          </button>
        )}
        <button
          type="button"
          className="quiet-action"
          onClick={() => {
            setValue(pinned ?? css);
            setOpen(true);
          }}
        >
          Pin…
        </button>
      </span>
    );
  return (
    <div
      className="pin-editor"
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          leave();
        }
      }}
    >
      <form className="pin-actions" onSubmit={(event) => void pin(event)}>
        <input
          aria-label={`Value of ${name}`}
          value={value}
          autoFocus
          onChange={(event) => setValue(event.target.value)}
          onFocus={(event) => event.target.select()}
        />
        <button type="submit" className="quiet-action">
          Pin
        </button>
        <button type="button" className="quiet-action" onClick={leave}>
          Cancel
        </button>
      </form>
      {on && <Picker value={value} background={on.background} required={on.required} pick={show} />}
    </div>
  );
}
