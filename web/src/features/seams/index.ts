export { createDraftStore, isEdited } from './draft-store.ts';
export { loadSeamList, SeamList } from './seam-list.tsx';
export { loadSeamSheet, SeamSheet } from './seam-sheet.tsx';
export { sheetOf } from './sheet.ts';
