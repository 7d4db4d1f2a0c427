export { loadSeamList, SeamList } from './seam-list.tsx';
export { loadSeamSheet, SeamSheet } from './seam-sheet.tsx';
