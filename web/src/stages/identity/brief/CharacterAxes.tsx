import { pointer, type Character } from '../../../api/client';
import { useLibrary } from '../../../api/queries';
import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';

export type CharacterAxesProps = { said: string };

const STEPS = [-2, -1, 0, 1, 2];
const WORDS = ['very', 'rather', 'between', 'rather', 'very'];

/** The five axes of character, five places each. A chosen place pressed once more is open again. */
export function CharacterAxes({ said }: CharacterAxesProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const character: Partial<Character> = brand.identity.body.character ?? {};
  const set = (axis: string, value: number | null, label: string) =>
    void change(label, [{ document: IDENTITY, patch: [{ op: 'replace', path: pointer('character', axis), value }] }]);
  return (
    <section aria-labelledby="character-title" className="character">
      <h2 id="character-title" className="identity-head">
        Character
      </h2>
      {library.data?.axes.map((axis) => {
        const value = character[axis.id as keyof Character] ?? null;
        return (
          <div key={axis.id} className="axis" role="group" aria-label={`${axis.first} to ${axis.second}`}>
            <span>{axis.first}</span>
            <span className="axis-steps">
              {STEPS.map((step, index) => {
                const word =
                  step === 0
                    ? `between ${axis.first} and ${axis.second}`
                    : `${WORDS[index]} ${step < 0 ? axis.first : axis.second}`;
                return (
                  <button
                    key={step}
                    type="button"
                    aria-pressed={value === step}
                    aria-label={word}
                    title={word}
                    disabled={!canWrite}
                    onClick={() =>
                      set(
                        axis.id,
                        value === step ? null : step,
                        value === step ? `${axis.first} or ${axis.second}: open` : `Character: ${word}`,
                      )
                    }
                  />
                );
              })}
            </span>
            <span>{axis.second}</span>
          </div>
        );
      })}
      <p className="soft" aria-live="polite">
        {said ? `In words: ${said}.` : 'Open. It will steer type, shape, rhythm and words.'}
      </p>
    </section>
  );
}
