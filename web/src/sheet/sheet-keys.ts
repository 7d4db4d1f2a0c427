/** Ctrl S saves, Ctrl Z and Ctrl Shift Z step; within a text field the text's own undo stands. */
import { useEffect } from 'react';
import type { SheetSession } from './session.ts';

export function useSheetKeys({
  undo,
  redo,
  save,
  cannotSave,
}: Pick<SheetSession, 'undo' | 'redo' | 'save' | 'cannotSave'>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const inText = event.target instanceof HTMLInputElement && event.target.type === 'text';
      if (key === 's') {
        event.preventDefault();
        // A view may have reasons of its own: a score that cannot be made.
        if (cannotSave === null) void save();
      } else if (key === 'z' && !inText) {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo, save, cannotSave]);
}
