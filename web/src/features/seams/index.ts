export { createDraftStore, isEdited } from './draft-store.ts';
export { loadSeamList, SeamList } from './seam-list.tsx';
export { loadSeamSheet, SeamSheet } from './seam-sheet.tsx';
export { sheetOf } from './sheet.ts';
export { SaveActs } from './save-acts.tsx';
export { useSheet, useSheetKeys, type OpenSheet } from './use-sheet.ts';
export type { Sheet } from './sheet-fields.ts';
