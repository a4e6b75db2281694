import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { fullRatio, shownRatio } from './color';
import { Editable } from './Editable';

describe('ratios', () => {
  it('are floored, so that a failure never reads as a pass', () => {
    expect(shownRatio(4.499)).toBe('4.4');
    expect(shownRatio(4.5)).toBe('4.5');
    expect(fullRatio(4.4999)).toBe('4.49:1');
    expect(fullRatio(21)).toBe('21.00:1');
  });
});

describe('Editable', () => {
  it('saves on Enter, trimmed, once', async () => {
    const save = vi.fn();
    render(<Editable label="Name" value="Old" onSave={save} />);
    await userEvent.clear(screen.getByLabelText('Name'));
    await userEvent.type(screen.getByLabelText('Name'), ' New {Enter}');
    expect(save.mock.calls).toEqual([['New']]);
  });
  it('puts the text back on Escape', async () => {
    const save = vi.fn();
    render(<Editable label="Name" value="Old" onSave={save} />);
    await userEvent.type(screen.getByLabelText('Name'), 'er{Escape}');
    expect(screen.getByLabelText('Name')).toHaveValue('Old');
    expect(save).not.toHaveBeenCalled();
  });
  it('saves nothing where nothing changed', async () => {
    const save = vi.fn();
    render(<Editable label="Name" value="Old" onSave={save} />);
    await userEvent.click(screen.getByLabelText('Name'));
    await userEvent.tab();
    expect(save).not.toHaveBeenCalled();
  });
});
