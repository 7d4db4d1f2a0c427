/** What can lie over any page, and the keys that bring it. Loaded when it is first wanted. */
import { lazy, Suspense, useLayoutEffect } from 'react';
import { useStore } from 'zustand';
import { closeOverlay, openOverlay, overlay, search } from './overlay.ts';

const Find = lazy(async () => ({ default: (await import('./find.tsx')).Find }));
const WordsSheet = lazy(async () => ({ default: (await import('./words.tsx')).WordsSheet }));
const KeysSheet = lazy(async () => ({ default: (await import('./keys.tsx')).KeysSheet }));

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement
  );
}

const ReadingSheet = lazy(async () => ({ default: (await import('./preferences.tsx')).ReadingSheet }));

export function Overlays() {
  const open = useStore(overlay, (state) => state.open);
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isFind = (event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'k';
      const which = isFind
        ? 'find'
        : event.key === 'F1'
          ? 'words'
          : event.key === '?' && !isTyping(event.target)
            ? 'keys'
            : null;
      if (which === null) {
        // Whoever types at once after Ctrl K is faster than the field: nothing of it is lost.
        const { open: now, searched } = overlay.getState();
        const isPlain = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
        if (now !== 'find' || !isPlain || isTyping(event.target)) return;
        event.preventDefault();
        event.stopPropagation();
        search(searched + event.key);
        return;
      }
      event.preventDefault();
      if (overlay.getState().open === which) closeOverlay();
      else openOverlay(which);
    };
    // Before any view's own keys: what is typed for the search is not an act of the page.
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
  return (
    <Suspense fallback={null}>
      {open === 'find' && <Find />}
      {open === 'words' && <WordsSheet />}
      {open === 'keys' && <KeysSheet />}
      {open === 'reading' && <ReadingSheet />}
    </Suspense>
  );
}
