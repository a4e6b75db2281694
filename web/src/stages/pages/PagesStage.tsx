import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { FRAME, pageDocument } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';
import { Sheet } from '../../sheet/Sheet';
import { LanguagesView } from '../languages/LanguagesView';
import { EditPage } from './EditPage';
import { PagesDialog } from './PagesDialog';
import { PlanAgain } from './PlanAgain';
import { SearchDialog } from './SearchDialog';
import { SectionPanel } from './SectionPanel';

/** Which section is worked on: "header" and "footer" are those of all pages. */
export type Where = { page: string; section: string; text?: string };

/** Stage 3: pages and sections, edited on the page itself, or seen all at once. */
export function PagesStage() {
  const { brand, canWrite } = useShown('brand', 'canWrite');
  const { change } = useActions();
  const [asked] = useSearchParams();
  const [where, setWhere] = useState<Where>({
    page: asked.get('page') || (brand.pages[0]?.body.id ?? ''),
    section: asked.get('section') ?? '',
  });
  const [view, setView] = useState<'page' | 'sheet' | 'languages'>(
    asked.get('view') === 'languages' ? 'languages' : 'page',
  );
  const [arranging, setArranging] = useState(false);
  const [searching, setSearching] = useState(false);
  const paper = useRef<Document | null>(null);
  const page = brand.pages.find((one) => one.body.id === where.page) ?? brand.pages[0];
  if (!page) return null;
  const frame = brand.frame.body;
  const rows = [
    { id: frame.header.id, section: frame.header, document: FRAME, base: ['header'] as (string | number)[] },
    ...(page.body.sections ?? []).map((section, index) => ({
      id: section.id,
      section,
      document: pageDocument(page.body.id),
      base: ['sections', index] as (string | number)[],
    })),
    { id: frame.footer.id, section: frame.footer, document: FRAME, base: ['footer'] as (string | number)[] },
  ];
  const current = rows.find((row) => row.id === where.section);
  return (
    <div className="pages">
      <div className="pages-side">
        <div className="pages-tabs" role="group" aria-label="Page">
          {brand.pages.map((one) => (
            <button
              key={one.body.id}
              type="button"
              aria-pressed={one.body.id === page.body.id}
              onClick={() => setWhere({ page: one.body.id, section: '' })}
            >
              {one.body.name}
            </button>
          ))}
          <span className="pages-tools">
            <button type="button" aria-haspopup="dialog" onClick={() => setArranging(true)}>
              Pages and menu…
            </button>
            <button type="button" aria-haspopup="dialog" onClick={() => setSearching(true)}>
              Search…
            </button>
          </span>
        </div>
        {searching && (
          <SearchDialog
            close={() => setSearching(false)}
            open={(id, section) => setWhere({ page: id || page.body.id, section })}
          />
        )}
        {arranging && (
          <PagesDialog close={() => setArranging(false)} open={(id) => setWhere({ page: id, section: '' })} />
        )}
        <SectionPanel
          key={page.body.id}
          page={page.body}
          rows={rows}
          current={current}
          choose={(section, on) => setWhere({ page: on ?? page.body.id, section })}
          change={change}
          disabled={!canWrite}
          text={where.text ?? ''}
          paper={() => paper.current}
        />
        <PlanAgain />
      </div>
      <div className="pages-main">
        <div className="pages-view" role="group" aria-label="View">
          <button type="button" className="width-toggle" aria-pressed={view === 'page'} onClick={() => setView('page')}>
            One page
          </button>
          <button
            type="button"
            className="width-toggle"
            aria-pressed={view === 'sheet'}
            onClick={() => setView('sheet')}
          >
            All pages
          </button>
          <button
            type="button"
            className="width-toggle"
            aria-pressed={view === 'languages'}
            onClick={() => setView('languages')}
          >
            Languages
          </button>
        </div>
        {view === 'page' ? (
          <EditPage
            key={page.body.id}
            page={page.body}
            rows={rows}
            selected={where.section}
            onPaper={(document) => (paper.current = document)}
            choose={(section, text) => setWhere({ page: page.body.id, section, text: text ?? '' })}
          />
        ) : view === 'languages' ? (
          <LanguagesView first={asked.get('language') ?? ''} />
        ) : (
          <Sheet widths={[360, 768, 1280, 1920]} />
        )}
      </div>
    </div>
  );
}
