export { SeamFrame } from './seam-frame.tsx';
export { SeamHead } from './seam-head.tsx';
export { SheetFrame } from './sheet-frame.tsx';
