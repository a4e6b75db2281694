import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createRef } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { answers, draw } from '../../testing';
import { likely, OldPage } from './OldPage';

const PAGES = [
  { id: 4, name: 'old/index.html' },
  { id: 7, name: 'old/seiten/Kontakt.htm' },
];

beforeEach(() => {
  class Still {
    observe() {}
    disconnect() {}
  }
  vi.stubGlobal('ResizeObserver', Still);
});

describe('the old site', () => {
  it('begins with the page that is called as the new one is, else with the first', () => {
    expect(likely(PAGES, { id: 'kontakt', name: 'Schreiben Sie uns' })).toBe(7);
    expect(likely(PAGES, { id: 'contact', name: 'Kontakt' })).toBe(7);
    expect(likely(PAGES, { id: 'index', name: 'Start' })).toBe(4);
    expect(likely(PAGES, { id: 'koerbe', name: 'Körbe' })).toBe(4);
    expect(likely([], { id: 'a', name: 'A' })).toBe(0);
  });

  it('is drawn without scripts, and another page is chosen', async () => {
    const asked = answers({
      'GET /api/brands/{brand_id}/old-pages': { pages: PAGES },
      'GET /api/brands/{brand_id}/old-pages/{file_id}': { html: '<p>Old</p>' },
    });
    const beside = createRef<HTMLDivElement>();
    draw(<OldPage page={{ id: 'kontakt', name: 'Kontakt' }} beside={beside} width={1280} />);
    const frame = await screen.findByTitle('The old page');
    expect(frame).toHaveAttribute('sandbox', 'allow-same-origin');
    expect(frame).toHaveAttribute('srcdoc', '<p>Old</p>');
    expect(screen.getByLabelText('Page of the old site')).toHaveValue('7');
    await userEvent.selectOptions(screen.getByLabelText('Page of the old site'), 'old/index.html');
    await waitFor(() => expect(asked.filter(([way]) => way.endsWith('{file_id}'))).toHaveLength(2));
  });
});
