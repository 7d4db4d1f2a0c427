export { loadSeamAndMachines as loadStore } from '../../sheet/load.ts';
export { Store } from './store.tsx';
