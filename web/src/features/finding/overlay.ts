/** Which of the things that lie over any page is open: at most one. */
import { createStore } from 'zustand/vanilla';

export type Overlay = 'find' | 'words' | 'keys';

export const overlay = createStore<{ readonly open: Overlay | null }>()(() => ({ open: null }));

export function openOverlay(which: Overlay): void {
  overlay.setState({ open: which });
}

export function closeOverlay(): void {
  overlay.setState({ open: null });
}
