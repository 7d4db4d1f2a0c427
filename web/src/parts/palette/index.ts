export { glossary, type Meaning } from './glossary.ts';
export { openOverlay } from './overlay.ts';
export { Overlays } from './overlays.tsx';
