import { describe, expect, it } from 'vitest';
import { fileLink, fileNote, isFileLink, tooMuch } from './files';

describe('files to hand out', () => {
  it('are told by form and size, in kB and MB', () => {
    const told = [1, 12_345, 999_499, 999_500, 1_234_567, 25_000_000].map((size) => fileNote({ ending: 'pdf', size }));
    expect(told).toEqual(['PDF, 1 kB', 'PDF, 12 kB', 'PDF, 999 kB', 'PDF, 1 MB', 'PDF, 1.2 MB', 'PDF, 25 MB']);
  });

  it('are known among destinations', () => {
    expect(isFileLink(fileLink('menu'))).toBe(true);
    expect(['page:file', 'https://file', ''].some(isFileLink)).toBe(false);
  });

  it('that are too large are not sent', () => {
    const file = new File([], 'a.pdf');
    expect(tooMuch(file)).toBe('');
    Object.defineProperty(file, 'size', { value: 31_000_000 });
    expect(tooMuch(file)).toBe('a.pdf has 31 MB; 25 MB is the most.');
  });
});
