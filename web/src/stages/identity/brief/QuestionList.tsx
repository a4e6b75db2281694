import type { Question, Sources } from '../../../api/client';
import { Editable } from '../../../parts/Editable';
import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';
import type { Intake } from '../files/useIntake';

export type QuestionListProps = { sources: Sources; intake: Intake };

/** What is still open: concrete questions, answered where they stand or left open on purpose. */
export function QuestionList({ sources, intake }: QuestionListProps) {
  const { canWrite } = useShown('canWrite');
  const { change } = useActions();
  const answer = (question: Question, text: string) => {
    if (!text) return;
    const last = question.field.endsWith('/-');
    const value =
      question.kind === 'offer'
        ? { name: text.slice(0, 80), text: '' }
        : question.kind === 'story'
          ? { heading: question.text.replace(/\?$/, ''), text, source: 'the brief' }
          : text;
    void change('Question answered', [
      { document: IDENTITY, patch: [{ op: last ? 'add' : 'replace', path: question.field, value }] },
    ]);
  };
  return (
    <section aria-labelledby="open-title" className="questions">
      <h2 id="open-title" className="identity-head">
        Still open
      </h2>
      {sources.questions.length === 0 && <p className="soft">Nothing. The brief says what a good site needs.</p>}
      <ol>
        {sources.questions.map((question) => (
          <li key={question.id}>
            <p className="question">{question.text}</p>
            <p className="soft">{question.why}</p>
            {['text', 'long', 'offer', 'story'].includes(question.kind ?? 'text') ? (
              <Editable
                label={`Answer: ${question.text}`}
                quietLabel
                multiline={question.kind === 'long' || question.kind === 'story'}
                disabled={!canWrite}
                value=""
                placeholder="Answer here"
                onSave={(text) => answer(question, text)}
              />
            ) : (
              <p className="soft">Answer it on the left.</p>
            )}
            <button
              type="button"
              className="link soft"
              disabled={!canWrite}
              aria-label={`Leave open: ${question.text}`}
              onClick={() => void intake.leave(question.id, true)}
            >
              leave open
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
