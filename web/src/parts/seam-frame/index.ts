export { SeamPage, type SeamWork } from './seam-page.tsx';
export { SeamHead } from './seam-head.tsx';
export { SheetFrame } from './sheet-frame.tsx';
