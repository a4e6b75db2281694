import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, draw, inSight, LIBRARY, PAGES } from '../../testing';
import { AddSection, wantedKinds } from './AddSection';
import { CodeEditor } from './editors/CodeEditor';
import type { Row } from './rows';

const HOME = PAGES[0]!;
const KINDS = LIBRARY.kinds as never;

const OFFER = {
  id: 'offer-0',
  layout: 'row',
  label: 'Row',
  about: 'In a row.',
  content: { heading: 'Körbe' },
  said_on: 'Home',
};

function adding(after: string | null = null, saving = false) {
  inSight();
  const asked = answers({
    'GET /api/brands/{brand_id}/additions/{kind}': { offers: [OFFER], html: '<!doctype html><main></main>' },
    'POST /api/brands/{brand_id}/structure': { label: 'Added', changes: [], leads: [], page: 'home', section: 'new' },
  });
  const paper = new DOMParser().parseFromString('<main><section data-section="hero-1"></section></main>', 'text/html');
  const drawn = draw(
    <AddSection page={HOME} kinds={KINDS} after={after} close={vi.fn()} choose={vi.fn()} paper={() => paper} />,
    { saving },
  );
  return { asked, ...drawn };
}

describe('a section that is added', () => {
  it('is found by what it is needed for, whatever the accents; header and footer are never offered', () => {
    const kinds = [...LIBRARY.kinds, { ...LIBRARY.kinds[0]!, id: 'footer', label: 'Footer' }];
    expect(wantedKinds(kinds, '').map((one) => one.id)).toEqual(['hero', 'offering']);
    expect(wantedKinds(kinds, 'korbe').map((one) => one.id)).toEqual(['offering']);
    expect(wantedKinds(kinds, 'PRICES sell').map((one) => one.id)).toEqual(['offering']);
    expect(wantedKinds(kinds, 'beside a picture').map((one) => one.id)).toEqual(['hero']);
    expect(wantedKinds(kinds, 'weather')).toEqual([]);
  });

  it('tells where it will stand and whether its words stand somewhere already', async () => {
    const { unmount } = adding();
    expect(screen.getByRole('dialog', { name: 'Add a section to Homeat the end' })).toBeInTheDocument();
    expect(await screen.findByText(/^These words stand on Home already/)).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('What is it needed for?'), 'weather');
    expect(screen.getByRole('status')).toHaveTextContent('Nothing is called that.');
    unmount();
    adding('cards-1');
    expect(screen.getByRole('dialog', { name: 'Add a section to Homeafter “Was wir flechten”' })).toBeInTheDocument();
  });
});

describe('what can be added', () => {
  it('is not drawn of a state that is just being changed', async () => {
    const { asked, again } = adding(null, true);
    expect(screen.getByText('Drawing…')).toBeInTheDocument();
    expect(asked).toEqual([]);
    again({ saving: false });
    expect(await screen.findByText(/^These words stand on Home already/)).toBeInTheDocument();
  });
});

describe('own HTML and CSS', () => {
  const edited = (value: unknown) => {
    const put = vi.fn();
    draw(
      <CodeEditor
        path="code"
        label="HTML and CSS"
        slot={{
          path: 'code',
          label: 'HTML and CSS',
          type: 'code',
          blank: { html: '<p>x</p>', css: '' },
          most: 600,
          one: '',
          variant: '',
        }}
        value={value}
        row={{} as Row}
        pageId="home"
        disabled={false}
        put={put}
      />,
    );
    return put;
  };

  it('are written in fields of their own, and each keeps the other', async () => {
    const put = edited({ html: '<p>A</p>', css: 'p{}' });
    await userEvent.type(screen.getByLabelText('HTML'), 'b');
    await userEvent.tab();
    expect(put).toHaveBeenCalledWith('code', { html: '<p>A</p>b', css: 'p{}' }, 'Own HTML written');
    await userEvent.clear(screen.getByLabelText('CSS'));
    await userEvent.tab();
    expect(put).toHaveBeenLastCalledWith('code', { html: '<p>A</p>', css: '' }, 'Own CSS written');
  });

  it('are taken out with the last of the HTML, and added where there are none', async () => {
    const put = edited({ html: '<p>A</p>', css: 'p{}' });
    await userEvent.clear(screen.getByLabelText('HTML'));
    await userEvent.tab();
    expect(put).toHaveBeenCalledWith('code', null, 'HTML and CSS taken out');
    const added = edited(null);
    await userEvent.click(screen.getByRole('button', { name: '+ HTML and CSS' }));
    expect(added).toHaveBeenCalledWith('code', { html: '<p>x</p>', css: '' }, 'HTML and CSS added');
  });
});
