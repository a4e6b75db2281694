import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Workbench } from '../../api/client';
import { answers, changesOf, draw, refused, SYSTEM, workbench } from '../../testing';
import { ReleaseStage } from './ReleaseStage';

vi.mock('../../sheet/PageFrame', () => ({ PageFrame: () => null })); // what a page looks like is the browser tests’

afterEach(() => vi.restoreAllMocks());

type Release = Workbench['releases'][number];
const made = (number: number, live = false): Release => ({
  number,
  live,
  created: '2026-03-01T10:00:00Z',
  author: 'Anna',
  passed: 812,
  waived: 0,
  measured: true,
  files: 31,
});
const title = () => screen.getByRole('heading', { level: 2 }).textContent;

describe('the release', () => {
  it('is held back by what stops it', () => {
    draw(<ReleaseStage />, { system: { ...SYSTEM, counts: { stop: 1 } } as never });
    expect(title()).toBe('Held back by preflight');
    expect(screen.getByText('1 finding stops the release. Each comes with a fix.')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: /^Release/ })).toBeNull();
  });

  it('is the first, with nothing before it', () => {
    draw(<ReleaseStage />, { system: { ...SYSTEM, counts: { pass: 40 } } as never });
    expect(title()).toBe('Ready for r1');
    expect(screen.getByText(/^None yet/)).toBeInTheDocument();
    expect(screen.queryByRole('columnheader')).toBeNull();
  });

  it('lists sixty, each with its ZIP, and says which is live', () => {
    const releases = Array.from({ length: 60 }, (_, n) => made(60 - n, n === 3));
    draw(<ReleaseStage />, { brand: workbench({ releases, changed_since_release: true }) });
    expect(title()).toBe('Ready for r61');
    expect(screen.getAllByRole('row')).toHaveLength(61);
    expect(screen.getByText('live').closest('tr')).toHaveTextContent(/^r57 live/);
    expect(screen.getAllByRole('link', { name: 'Download ZIP' })[0]).toHaveAttribute(
      'href',
      '/api/brands/one/releases/60/zip',
    );
  });

  it('is made once, however often one presses', async () => {
    let finish: (value: unknown) => void = () => undefined;
    const asked: string[] = [];
    draw(<ReleaseStage />, {
      write: () => {
        asked.push('release');
        return new Promise((resolve) => (finish = resolve)) as never;
      },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Release r1' }));
    const button = screen.getByRole('button', { name: 'Publishing…' });
    await userEvent.click(button);
    expect(asked).toEqual(['release']);
    expect(document.activeElement).toBe(button);
    finish(workbench());
    await waitFor(() => expect(screen.getByRole('button', { name: 'Release r1' })).toBeEnabled());
  });

  it('that is refused is told, and can be tried again', async () => {
    answers({ 'POST /api/brands/{brand_id}/releases': refused(422, 'Preflight stops it.') });
    const { bench } = draw(<ReleaseStage />);
    await userEvent.click(screen.getByRole('button', { name: 'Release r1' }));
    await waitFor(() => expect(bench.report).toHaveBeenCalledTimes(1));
    expect(vi.mocked(bench.report).mock.calls[0]?.[0]).toMatchObject({ status: 422, message: 'Preflight stops it.' });
    expect(screen.getByRole('button', { name: 'Release r1' })).toHaveAttribute('aria-disabled', 'false');
  });

  it('waits until a browser has seen the pages, and follows by itself; or is let go', async () => {
    const told = (done: number, waiting: number) => ({ total: 2, done, waiting, failed: [], awaited: true });
    const MEASURING = '/api/brands/{brand_id}/preflight/measuring';
    const known: Record<string, unknown> = {
      [`GET ${MEASURING}`]: told(0, 0),
      [`POST ${MEASURING}`]: told(0, 2),
      [`DELETE ${MEASURING}`]: told(1, 0),
      'POST /api/brands/{brand_id}/releases': workbench(),
    };
    const asked = answers(known);
    const { bench } = draw(<ReleaseStage />);
    await waitFor(() => expect(asked.some(([what]) => what === `GET ${MEASURING}`)).toBe(true));
    known[`GET ${MEASURING}`] = told(1, 1);
    await userEvent.click(screen.getByRole('button', { name: 'Release r1' }));
    expect(await screen.findByText(/^A browser has seen 1 of 2/)).toBeVisible();
    expect(bench.write).not.toHaveBeenCalled();
    known[`GET ${MEASURING}`] = told(1, 0);
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(screen.queryByRole('progressbar')).toBeNull());
    known[`GET ${MEASURING}`] = told(1, 1);
    await userEvent.click(screen.getByRole('button', { name: 'Release r1' }));
    await screen.findByRole('progressbar', { name: 'Pages seen in the browser' });
    known[`GET ${MEASURING}`] = told(2, 0);
    await waitFor(() => expect(bench.write).toHaveBeenCalledTimes(1), { timeout: 3000 });
    expect(asked.filter(([what]) => what.endsWith('/releases'))).toHaveLength(1);
  });

  it('whose pages cannot be looked at says which and why', async () => {
    const failed = [{ page: 'home', problem: 'index.html: the page cannot be drawn (it takes too long).' }];
    const MEASURING = '/api/brands/{brand_id}/preflight/measuring';
    const known: Record<string, unknown> = {
      [`GET ${MEASURING}`]: { total: 2, done: 0, waiting: 0, failed: [], awaited: true },
      [`POST ${MEASURING}`]: { total: 2, done: 1, waiting: 0, failed, awaited: true },
    };
    const asked = answers(known);
    draw(<ReleaseStage />);
    await waitFor(() => expect(asked.length).toBeGreaterThan(0));
    known[`GET ${MEASURING}`] = known[`POST ${MEASURING}`];
    await userEvent.click(screen.getByRole('button', { name: 'Release r1' }));
    expect(await screen.findByRole('alert')).toHaveTextContent(/^One page could not be looked at: index.html/);
  });

  it('is not a reviewer’s', () => {
    draw(<ReleaseStage />, { canWrite: false });
    expect(screen.getByRole('button', { name: 'Release r1' })).toBeDisabled();
    expect(screen.getByLabelText('Where the site will stand')).toBeDisabled();
  });

  it('takes the address where the site will stand', async () => {
    const { bench } = draw(<ReleaseStage />);
    expect(screen.getByText(/^Without it places that show links find no picture/)).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('Where the site will stand'), 'https://weidling.example/{Enter}');
    expect(changesOf(bench)).toEqual([['Address of the site', 'frame: add /address "https://weidling.example/"']]);
  });
});
