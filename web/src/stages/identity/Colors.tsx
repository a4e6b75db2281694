import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { client, pointer, unwrap } from '../../api/client';
import { Editable } from '../../parts/Editable';
import { IDENTITY } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** The exact colours: typed or pasted in any CSS form, several at once. */
export function Colors() {
  const { brand, system, canWrite } = useShown('brand', 'system', 'canWrite');
  const { change } = useActions();
  const colors = brand.identity.body.colors ?? [];
  const [text, setText] = useState('');
  const [problems, setProblems] = useState<string[]>([]);
  const read = useMutation({
    mutationFn: (pasted: string) => unwrap(client.POST('/api/colors', { body: { text: pasted } })),
  });
  const add = async (event: FormEvent) => {
    event.preventDefault();
    const found = await read.mutateAsync(text);
    setProblems(found.problems);
    if (!found.colors.length) {
      if (!found.problems.length)
        setProblems(['There is no colour in that text. Write one as CSS does, for example #1B2147.']);
      return;
    }
    const names = new Set(colors.map((color) => color.name));
    const patch = found.colors.map((color) => {
      let name = color.name || color.value;
      for (let number = 2; names.has(name); number += 1) name = `${color.name || color.value} ${number}`;
      names.add(name);
      return { op: 'add' as const, path: '/colors/-', value: { name, value: color.value } };
    });
    const label = patch.length === 1 ? `Colour ${patch[0]?.value.name} added` : `${patch.length} colours added`;
    if (await change(label, [{ document: IDENTITY, patch }])) setText(found.problems.length ? text : '');
  };
  const edit = (label: string, index: number, key: 'name' | 'value', value: string) =>
    void change(label, [
      { document: IDENTITY, patch: [{ op: 'replace', path: pointer('colors', index, key), value }] },
    ]);
  return (
    <section aria-labelledby="colors-title">
      <h2 id="colors-title" className="identity-head">
        Brand colours, exact
      </h2>
      <ul className="chips">
        {colors.map((color, index) => {
          const hex = system.palette[color.id ?? ''] ?? color.value;
          return (
            <li key={color.id}>
              <span className="chip-face" style={{ background: hex }} />
              <Editable
                label={`Name of colour ${index + 1}`}
                quietLabel
                className="is-chip-name"
                disabled={!canWrite || color.locked}
                value={color.name}
                onSave={(value) => edit('Colour renamed', index, 'name', value)}
              />
              <Editable
                label={`Value of ${color.name}`}
                quietLabel
                className="is-chip-value"
                disabled={!canWrite || color.locked}
                value={color.value}
                onSave={(value) => edit(`${color.name} changed`, index, 'value', value)}
              />
              {(color.print ?? []).length > 0 && (
                <span className="chip-print soft">{(color.print ?? []).join(', ')}</span>
              )}
              <button
                type="button"
                className="chip-lock"
                disabled={!canWrite}
                aria-pressed={color.locked ?? false}
                aria-label={`${color.locked ? 'locked' : 'lock'}: ${color.name}`}
                title={color.locked ? 'Locked: it cannot be changed or taken out' : 'Lock it against changes'}
                onClick={() =>
                  void change(color.locked ? `${color.name} unlocked` : `${color.name} locked`, [
                    {
                      document: IDENTITY,
                      patch: [{ op: 'replace', path: pointer('colors', index, 'locked'), value: !color.locked }],
                    },
                  ])
                }
              >
                {color.locked ? 'locked' : 'lock'}
              </button>
              <button
                type="button"
                className="remove"
                disabled={!canWrite || color.locked}
                aria-label={`Take out ${color.name}`}
                onClick={() =>
                  void change(`Colour ${color.name} taken out`, [
                    { document: IDENTITY, patch: [{ op: 'remove', path: pointer('colors', index) }] },
                  ])
                }
              >
                ×
              </button>
            </li>
          );
        })}
      </ul>
      <form className="paste" onSubmit={(event) => void add(event)}>
        <label htmlFor="paste">{colors.length ? 'More colours' : 'Paste the brand’s colours'}</label>
        <textarea
          id="paste"
          rows={colors.length ? 2 : 4}
          value={text}
          disabled={!canWrite}
          placeholder={'Night #1B2147\nLamp rgb(242 169 59)\nany CSS form, one or many'}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) event.currentTarget.form?.requestSubmit();
          }}
        />
        {problems.length > 0 && (
          <ul role="alert" className="problem">
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        )}
        <button type="submit" className="quiet-action" disabled={!text.trim() || read.isPending || !canWrite}>
          Add colours
        </button>
      </form>
    </section>
  );
}
