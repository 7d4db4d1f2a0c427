/** Ctrl S saves, Ctrl Z and Ctrl Shift Z step; within a text field the text's own undo stands. */
import { useEffect } from 'react';
import type { SheetSession } from './session.ts';

export function useSheetKeys({ undo, redo, save }: Pick<SheetSession, 'undo' | 'redo' | 'save'>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const inText = event.target instanceof HTMLInputElement && event.target.type === 'text';
      if (key === 's') {
        event.preventDefault();
        void save();
      } else if (key === 'z' && !inText) {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo, save]);
}
