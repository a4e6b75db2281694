import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Page } from '../../api/client';
import { changesOf, draw, LIBRARY, PAGES } from '../../testing';
import { AddSection } from './AddSection';
import { CodeEditor } from './editors/CodeEditor';
import type { Row } from './rows';

const HOME = PAGES[0]!;
const KINDS = LIBRARY.kinds as never;

function adding(current?: Row, page: Page = HOME) {
  const choose = vi.fn();
  const change = vi.fn(() => Promise.resolve(true));
  const drawn = draw(
    <AddSection page={page} kinds={KINDS} current={current} change={change} choose={choose} disabled={false} />,
    { change },
  );
  return { choose, ...drawn };
}

describe('a section that is added', () => {
  it('is of a chosen kind, stands at the end, and is opened', async () => {
    const { bench, choose } = adding();
    const button = screen.getByRole('button', { name: 'Add at the end' });
    expect(button).toBeDisabled();
    const [, first] = screen.getAllByRole('option');
    await userEvent.selectOptions(screen.getByLabelText('Add a section'), first!.textContent!);
    await userEvent.click(button);
    const [label, change] = changesOf(bench)[0]!;
    expect(label).toBe(`${first!.textContent} added to Home`);
    expect(change).toContain(`page:home: add /sections/${HOME.sections!.length} `);
    const made = JSON.parse(change!.slice(change!.indexOf('{'))) as { id: string; kind: string; layout: string };
    expect(HOME.sections!.map((one) => one.id)).not.toContain(made.id);
    expect(choose).toHaveBeenCalledWith(made.id);
  });

  it('stands after the one that is open, and frame kinds are not offered', async () => {
    const section = HOME.sections![0]!;
    const { bench } = adding({ id: section.id, section, document: 'page:home', base: ['sections', 0] });
    const options = screen.getAllByRole('option').map((one) => one.textContent);
    expect(options).not.toContain('Header');
    await userEvent.selectOptions(screen.getByLabelText('Add a section'), options[1]!);
    await userEvent.click(screen.getByRole('button', { name: 'Add after the open one' }));
    expect(changesOf(bench)[0]![1]).toContain('page:home: add /sections/1 ');
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
