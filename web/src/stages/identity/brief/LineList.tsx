import { pointer } from '../../../api/client';
import { useLibrary } from '../../../api/queries';
import { Editable } from '../../../parts/Editable';
import { IDENTITY } from '../../../bench/documents';
import { useActions, useShown } from '../../../bench/useBench';

export type LineListProps = {
  list: 'pages' | 'proof' | 'social' | 'languages';
  title: string;
  placeholder: string;
  /** Offers the pages that are usual for the kind of organisation. */
  suggest?: boolean;
};

/** Short texts, a line each, with an empty line for the next. */
export function LineList({ list, title, placeholder, suggest }: LineListProps) {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const library = useLibrary();
  const identity = brand.identity.body;
  const lines = identity[list] ?? [];
  const patch = (label: string, op: 'add' | 'replace' | 'remove', path: string, value?: string) =>
    void change(label, [{ document: IDENTITY, patch: [{ op, path, value }] }]);
  const usual = library.data?.organisations.find((one) => one.id === identity.organisation)?.pages ?? [];
  const offered = suggest ? usual.filter((name) => !lines.includes(name)) : [];
  return (
    <section aria-labelledby={`${list}-title`} className="line-list">
      <h2 id={`${list}-title`} className="identity-head">
        {title}
      </h2>
      <ul>
        {lines.map((line, index) => (
          <li key={`${index} ${line}`}>
            <Editable
              label={`${title}, ${index + 1}`}
              quietLabel
              disabled={!canWrite}
              value={line}
              onSave={(value) =>
                value
                  ? patch(`${value} changed`, 'replace', pointer(list, index), value)
                  : patch(`${line} taken out`, 'remove', pointer(list, index))
              }
            />
            <button
              type="button"
              className="remove"
              disabled={!canWrite}
              aria-label={`Take out ${line}`}
              onClick={() => patch(`${line} taken out`, 'remove', pointer(list, index))}
            >
              ×
            </button>
          </li>
        ))}
        <li key={`new-${lines.length}`}>
          <Editable
            label={`${title}, another`}
            quietLabel
            disabled={!canWrite}
            value=""
            placeholder={placeholder}
            onSave={(value) => value && patch(`${value} added`, 'add', `/${list}/-`, value)}
          />
        </li>
      </ul>
      {offered.length > 0 && (
        <p className="offered">
          <span className="soft">Usual here:</span>
          {offered.map((name) => (
            <button
              key={name}
              type="button"
              className="quiet-action"
              disabled={!canWrite}
              onClick={() => patch(`Page ${name} wanted`, 'add', `/${list}/-`, name)}
            >
              {name}
            </button>
          ))}
        </p>
      )}
    </section>
  );
}
