/** What can lie over any page, and the keys that bring it. Loaded when it is first wanted. */
import { lazy, Suspense, useLayoutEffect } from 'react';
import { useStore } from 'zustand';
import { closeOverlay, openOverlay, overlay } from './overlay.ts';

const Find = lazy(async () => ({ default: (await import('./find.tsx')).Find }));
const WordsSheet = lazy(async () => ({ default: (await import('./words.tsx')).WordsSheet }));
const KeysSheet = lazy(async () => ({ default: (await import('./keys.tsx')).KeysSheet }));

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement
  );
}

const ReadingSheet = lazy(async () => ({ default: (await import('./reading.tsx')).ReadingSheet }));

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
      if (which === null) return;
      event.preventDefault();
      if (overlay.getState().open === which) closeOverlay();
      else openOverlay(which);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
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
