import { useId, useState, type KeyboardEvent } from 'react';
import type { LanguageLine } from '../../api/client';
import { Editable } from '../../parts/Editable';
import { read } from '../pages/marks';

export type TextRowProps = {
  line: LanguageLine;
  /** The language that the text is in, and the one that it is translated into. */
  own: string;
  code: string;
  /** The name of the page, over the first of its texts. */
  heading: string;
  disabled: boolean;
  put: (text: string) => Promise<boolean>;
  /** Stores what the text is at one of its places; empty for as elsewhere. */
  putAt: (place: string, text: string) => void;
  nameOf: (page: string) => string;
};

const STATES: Record<LanguageLine['state'], string> = {
  missing: 'to do',
  older: 'changed since',
  done: '',
  ours: 'Formulon’s own words',
  same: 'the same in every language',
};

/** Sets the next text in focus that waits; the next of all where none does. */
function goOn(from: HTMLElement) {
  const all = Array.from(from.closest('ol')?.querySelectorAll<HTMLTextAreaElement>('textarea') ?? []);
  const after = all.slice(all.indexOf(from as HTMLTextAreaElement) + 1);
  (after.find((one) => !one.value.trim()) ?? after[0])?.focus();
}

/** A text, and what it is in the other language. Leaving it stores it, Ctrl+Enter goes on to the next that waits. */
export function TextRow({ line, own, code, heading, disabled, put, putAt, nameOf }: TextRowProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const apart = line.places.filter((one) => one.text).length;
  const shown = draft ?? line.text;
  const save = async () => {
    if (draft === null) return;
    if (draft.trim() === line.text) setDraft(null);
    else if (await put(draft)) setDraft(null);
  };
  const key = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    if (event.key === 'Escape') setDraft(null);
    if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
    event.preventDefault();
    goOn(event.currentTarget);
  };
  const long = Math.max(line.source.length, shown.length);
  const note = [STATES[line.state], line.lacks.length ? `without ${line.lacks.join(', ')}` : ''].filter(Boolean);
  return (
    <>
      {heading && <li className="languages-page">{heading}</li>}
      <li className={`text-row is-${line.lacks.length ? 'older' : line.state}`}>
        <div>
          <small>{line.label}</small>
          <p lang={own} dir="auto">
            {read(line.source)}
          </p>
          {line.was && (
            <p className="text-was">
              <small>It was</small> <del dir="auto">{read(line.was)}</del>
            </p>
          )}
        </div>
        <div>
          <textarea
            lang={code}
            dir="auto"
            spellCheck
            rows={Math.max(1, Math.ceil(long / 46))}
            aria-label={`${line.label}: ${read(line.source)}`}
            aria-describedby={note.length ? `${id}-note` : undefined}
            value={shown}
            disabled={disabled}
            onChange={(event) => setDraft(event.target.value)}
            onBlur={() => void save()}
            onKeyDown={key}
          />
          {note.length > 0 && <small id={`${id}-note`}>{note.join(', ')}</small>}
          {line.places.length > 1 && (
            <button
              type="button"
              className="link soft text-places"
              aria-expanded={open}
              disabled={line.state !== 'done'}
              title={
                line.state === 'done' ? 'Where it means something else, it is written there' : 'Translate it first'
              }
              onClick={() => setOpen(!open)}
            >
              in {line.count} places{apart ? `, at ${apart} otherwise` : ''}
            </button>
          )}
          {open && line.state === 'done' && (
            <ul className="text-at">
              {line.places.map((one) => (
                <li key={one.place}>
                  <Editable
                    label={`${one.page ? nameOf(one.page) : 'Header, footer, menu'} · ${one.label}`}
                    disabled={disabled}
                    value={one.text}
                    placeholder={line.text}
                    onSave={(text) => putAt(one.place, text)}
                  />
                </li>
              ))}
            </ul>
          )}
        </div>
      </li>
    </>
  );
}
