export { loadSeamAndMachines as loadSeamSheet } from '../../sheet/load.ts';
export { loadSeamList, SeamList } from './seam-list.tsx';
export { SeamSheet } from './seam-sheet.tsx';
