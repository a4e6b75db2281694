import { pointer, type Page } from '../../api/client';
import type { Bench } from '../../bench/bench';
import { pageDocument } from '../../bench/documents';
import { Editable } from '../../parts/Editable';
import { Listed } from './Listed';

export type PageWordsProps = { page: Page; change: Bench['change']; disabled: boolean };

/** Whether the menu leads to a page, and what search engines read of it. */
export function PageWords({ page, change, disabled }: PageWordsProps) {
  const put = (key: 'title' | 'description', label: string) => (value: string) =>
    void change(label, [{ document: pageDocument(page.id), patch: [{ op: 'replace', path: pointer(key), value }] }]);
  return (
    <>
      <label className="slot-check">
        <input
          type="checkbox"
          checked={page.menu ?? true}
          disabled={disabled}
          onChange={(event) =>
            void change(event.target.checked ? `${page.name} in the menu` : `${page.name} not in the menu`, [
              { document: pageDocument(page.id), patch: [{ op: 'add', path: '/menu', value: event.target.checked }] },
            ])
          }
        />
        in the menu
      </label>
      <h2>For search engines and cards</h2>
      <Editable
        label="Title"
        disabled={disabled}
        value={page.title ?? ''}
        placeholder="Missing"
        onSave={put('title', 'Title written')}
      />
      <Editable
        label="Description"
        multiline
        disabled={disabled}
        value={page.description ?? ''}
        placeholder="Missing"
        onSave={put('description', 'Description written')}
      />
      <Listed
        page={page}
        disabled={disabled}
        putCard={(card, label) =>
          void change(label, [
            { document: pageDocument(page.id), patch: [{ op: 'add', path: '/card', value: card ?? null }] },
          ])
        }
        put={(key, value) => put(key, key === 'title' ? 'Title taken' : 'Description taken')(value)}
      />
    </>
  );
}
