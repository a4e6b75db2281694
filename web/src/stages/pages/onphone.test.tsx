import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { answers, draw, refused, workbench } from '../../testing';
import { clock, OnPhone } from './OnPhone';

const AT = '/api/brands/{brand_id}/phone';
const OPEN = { address: 'http://192.0.2.7:8001/abc/', code: 'data:image/svg+xml,%3Csvg/%3E', seconds: 3599 };

describe('the preview on a phone', () => {
  it('is opened when it is allowed, shown as a code with its time, and closed', async () => {
    const asked = answers({
      [`GET ${AT}`]: { opened: null },
      [`POST ${AT}`]: { opened: OPEN },
      [`DELETE ${AT}`]: { opened: null },
    });
    draw(<OnPhone close={vi.fn()} />);
    const allow = await screen.findByRole('button', { name: 'Allow it for an hour' });
    await waitFor(() => expect(allow).toBeEnabled());
    await userEvent.click(allow);
    expect(await screen.findByAltText('Code that leads to the preview')).toHaveAttribute('src', OPEN.code);
    expect(screen.getByText(OPEN.address)).toBeInTheDocument();
    expect(screen.getByRole('timer')).toHaveTextContent(/^59:5\d$/);
    await userEvent.click(screen.getByRole('button', { name: 'Close it now' }));
    expect(await screen.findByRole('button', { name: 'Allow it for an hour' })).toBeInTheDocument();
    expect(asked.map(([way]) => way)).toEqual([`GET ${AT}`, `POST ${AT}`, `DELETE ${AT}`]);
  });

  it('says why it cannot be opened, and is not for those who only look', async () => {
    answers({ [`GET ${AT}`]: { opened: null }, [`POST ${AT}`]: refused(400, 'This machine is in no local network.') });
    const { bench, unmount } = draw(<OnPhone close={vi.fn()} />);
    const allow = await screen.findByRole('button', { name: 'Allow it for an hour' });
    await waitFor(() => expect(allow).toBeEnabled());
    await userEvent.click(allow);
    await waitFor(() => expect(allow).toBeEnabled());
    expect(bench.report).toHaveBeenCalledWith(
      expect.objectContaining({ message: 'This machine is in no local network.' }),
    );
    unmount();
    draw(<OnPhone close={vi.fn()} />, { brand: workbench(), canWrite: false });
    expect(await screen.findByRole('button', { name: 'Allow it for an hour' })).toBeDisabled();
  });

  it('runs down in minutes and seconds', () => {
    expect([3600, 61, 60, 9, 0].map(clock)).toEqual(['60:00', '1:01', '1:00', '0:09', '0:00']);
  });
});
