/** Which of the things that lie over any page is open: at most one. */
import { createStore } from 'zustand/vanilla';

export type Overlay = 'find' | 'words' | 'keys' | 'reading';

export const overlay = createStore<{ readonly open: Overlay | null }>()(() => ({ open: null }));

export function openOverlay(which: Overlay): void {
  overlay.setState({ open: which });
}

/** Closes what is open; with a name only that one, since the platform says late that a dialog was closed. */
export function closeOverlay(which?: Overlay): void {
  if (which === undefined || overlay.getState().open === which) overlay.setState({ open: null });
}
