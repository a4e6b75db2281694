import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { answers, draw, refused } from '../../testing';
import { TypedLines, type Typed } from './TypedLines';
import { WidthEdge } from './WidthEdge';

const LINES = 'POST /api/brands/{brand_id}/lines';
const typed: Typed = { page: 'home', section: 'hero-1', slot: 'text', text: 'Körbe' };

describe('lines of a text that is being written', () => {
  it('are told by width, once nobody types', async () => {
    const asked = answers({ [LINES]: { lines: { phone: 3, tablet: 2, desktop: 1 } } });
    draw(<TypedLines typed={typed} />);
    expect(screen.getByRole('status')).toHaveTextContent('Counting lines…');
    expect(await screen.findByText('3 lines on a phone, 2 on a tablet, 1 on a desktop')).toBeInTheDocument();
    expect(asked).toEqual([[LINES, typed]]);
  });

  it('say so where they cannot be told, and nothing where the server cannot be asked', async () => {
    answers({ [LINES]: { lines: {} } });
    const first = draw(<TypedLines typed={typed} />);
    expect(await screen.findByText('How many lines it takes cannot be told here')).toBeInTheDocument();
    first.unmount();
    answers({ [LINES]: refused(500, 'No.') });
    draw(<TypedLines typed={typed} />);
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect(screen.getByRole('status')).toHaveTextContent('Counting lines…');
  });

  it('give way to what can be done with a text', () => {
    draw(<TypedLines typed={null} />);
    expect(screen.getByText(/Ctrl I stresses/)).toBeInTheDocument();
  });
});

describe('the edge of the page', () => {
  it('goes by arrows, finely with Shift, and stops at both ends', () => {
    const set = vi.fn();
    draw(<WidthEdge width={324} scale={0.5} set={set} />);
    const edge = screen.getByRole('slider', { name: 'Width of the page in px' });
    for (const [key, shiftKey, wanted] of [
      ['ArrowRight', false, 332],
      ['ArrowRight', true, 325],
      ['ArrowLeft', false, 320],
      ['End', false, 1920],
      ['Home', false, 320],
    ] as const) {
      fireEvent.keyDown(edge, { key, shiftKey });
      expect(set).toHaveBeenLastCalledWith(wanted);
    }
    fireEvent.keyDown(edge, { key: 'a' });
    expect(set).toHaveBeenCalledTimes(5);
  });

  it('is pulled twice as far as it goes, since the page stands in the middle', () => {
    const set = vi.fn();
    HTMLElement.prototype.setPointerCapture = vi.fn();
    draw(<WidthEdge width={800} scale={0.5} set={set} />);
    const edge = screen.getByRole('slider');
    fireEvent.pointerMove(edge, { clientX: 500 });
    expect(set).not.toHaveBeenCalled();
    fireEvent.pointerDown(edge, { clientX: 400, button: 0 });
    fireEvent.pointerMove(edge, { clientX: 390 });
    expect(set).toHaveBeenLastCalledWith(760);
    fireEvent.pointerUp(edge);
    fireEvent.pointerMove(edge, { clientX: 300 });
    expect(set).toHaveBeenCalledTimes(1);
  });
});
