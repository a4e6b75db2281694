import { useId, useState } from 'react';
import { client, unwrap, type Answered } from '../../api/client';
import type { Change } from '../../api/client';
import { useActions, useShown } from '../../bench/useBench';

export type AskText = { path: string; label: string };

export type AskProps = {
  page: string;
  /** The section that it is about; the whole page where it is left out. */
  section?: string;
  /** The texts of the section that it can be about, and the one that is chosen. */
  texts?: AskText[];
  text?: string;
  disabled: boolean;
  done: (page: string, section: string) => void;
};

/** Asks for a change in words. What it means and what differs then is looked at before it is made. */
export function Ask({ page, section = '', texts = [], text = '', disabled, done }: AskProps) {
  const { brand } = useShown('brand');
  const { afterChanges, change, report } = useActions();
  const id = useId();
  const [words, setWords] = useState('');
  const [about, setAbout] = useState<string | null>(null);
  const [answer, setAnswer] = useState<Answered | null>(null);
  const [asking, setAsking] = useState(false);
  const slot = about ?? (texts.some((one) => one.path === text) ? text : '');
  const ask = async (wanted: string) => {
    if (!wanted.trim() || asking) return;
    setWords(wanted);
    setAsking(true);
    try {
      const body = { text: wanted, page, section, slot };
      const path = { params: { path: { brand_id: brand.id } } };
      setAnswer(
        await afterChanges(() => unwrap(client.POST('/api/brands/{brand_id}/instructions', { ...path, body }))),
      );
    } catch (problem) {
      report(problem);
    }
    setAsking(false);
  };
  const make = async () => {
    if (!answer) return;
    if (!(await change(answer.label, answer.changes as Change[]))) return;
    setAnswer(null);
    setWords('');
    done(answer.page, answer.section);
  };
  const leave = () => setAnswer(null);
  const changes = (answer?.changes.length ?? 0) > 0;
  return (
    <form
      className="ask"
      onSubmit={(event) => {
        event.preventDefault();
        void (changes ? make() : ask(words));
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !answer) return;
        event.stopPropagation();
        leave();
      }}
    >
      <label htmlFor={id}>Ask for a change</label>
      {texts.length > 0 && (
        <select
          aria-label="What it is about"
          value={slot}
          disabled={disabled}
          onChange={(event) => {
            setAbout(event.target.value);
            leave();
          }}
        >
          <option value="">of the section</option>
          {texts.map((one) => (
            <option key={one.path} value={one.path}>
              of {one.label}
            </option>
          ))}
        </select>
      )}
      <input
        id={id}
        value={words}
        disabled={disabled}
        maxLength={500}
        autoComplete="off"
        placeholder={
          section ? (slot ? 'shorter, in two lines on phones' : 'swap sides, on deep, as cards') : 'add prices'
        }
        onChange={(event) => {
          setWords(event.target.value);
          leave();
        }}
      />
      {!changes && (
        <button type="submit" className="quiet-action" disabled={disabled || asking || !words.trim()}>
          Show
        </button>
      )}
      {!answer && section && (
        <p className="ask-near">
          {(slot ? OF_A_TEXT : OF_A_SECTION).map((one) => (
            <button key={one} type="button" className="link" disabled={disabled} onClick={() => void ask(one)}>
              {one}
            </button>
          ))}
        </p>
      )}
      <div className="ask-answer" role="status">
        {answer && (
          <>
            <p>{answer.said}</p>
            {changes && (
              <>
                <ul className="differences">
                  {answer.differences.slice(0, MOST).map((one, index) => (
                    <li key={index}>
                      <b>{[one.page, one.named, one.slot].filter(Boolean).join(' · ')}</b>
                      {one.before && <del>{short(one.before)}</del>}
                      {one.after && <ins>{short(one.after)}</ins>}
                    </li>
                  ))}
                  {answer.differences.length > MOST && <li>and {answer.differences.length - MOST} more</li>}
                </ul>
                {answer.leads.length > 0 && (
                  <p className="soft">What led there leads on: {answer.leads.map((one) => one.label).join(', ')}.</p>
                )}
                <div className="ask-acts">
                  <button type="submit" className="main-action" disabled={disabled}>
                    Do it
                  </button>
                  <button type="button" className="quiet-action" onClick={leave}>
                    Leave it
                  </button>
                </div>
              </>
            )}
            {answer.suggestions.length > 0 && (
              <p className="ask-near">
                {answer.suggestions.map((one) => (
                  <button key={one} type="button" className="link" onClick={() => void ask(one)}>
                    {one}
                  </button>
                ))}
              </p>
            )}
          </>
        )}
      </div>
    </form>
  );
}

/** What is often asked for. */
const OF_A_TEXT = ['shorter', 'longer', 'another wording', 'plain', 'warm', 'ceremonial', 'inviting'];
const OF_A_SECTION = ['another layout', 'swap sides', 'the same length', 'warm', 'inviting'];
const MOST = 5;
const short = (text: string) => (text.length > 90 ? `${text.slice(0, 88)}…` : text);
