export { loadSeamAndMachines as loadWindow } from '../../sheet/load.ts';
export { WindowView } from './window-view.tsx';
