export { openOverlay } from './overlay.ts';
export { Overlays } from './overlays.tsx';
