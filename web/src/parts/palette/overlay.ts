/** Which of the things that lie over any page is open: at most one; and what was typed for the search before its field was there. */
import { createStore } from 'zustand/vanilla';

export type Overlay = 'find' | 'words' | 'keys' | 'reading';

interface OverlayState {
  readonly open: Overlay | null;
  /** What stands in the search field. */
  readonly searched: string;
}

export const overlay = createStore<OverlayState>()(() => ({ open: null, searched: '' }));

export function openOverlay(which: Overlay): void {
  overlay.setState({ open: which, searched: '' });
}

export function search(searched: string): void {
  overlay.setState({ searched });
}

/** Closes what is open; with a name only that one, since the platform says late that a dialog was closed. */
export function closeOverlay(which?: Overlay): void {
  if (which === undefined || overlay.getState().open === which) overlay.setState({ open: null });
}
