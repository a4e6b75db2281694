import { useEffect } from 'react';

/** Ctrl+Z and Ctrl+Shift+Z (or Ctrl+Y) undo and redo, unless a text is being written. */
export function useUndoKeys(undo: () => Promise<void>, redo: () => Promise<void>): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const target = event.target as HTMLElement | null;
      if (
        target?.closest('textarea, [contenteditable], input:not([type=range]):not([type=radio]):not([type=checkbox])')
      )
        return;
      const key = event.key.toLowerCase();
      if (key === 'z' || key === 'y') {
        event.preventDefault();
        void (key === 'y' || event.shiftKey ? redo() : undo());
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [undo, redo]);
}
