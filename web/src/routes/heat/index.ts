export { loadSeamAndMachines as loadHeat } from '../../sheet/load.ts';
export { Heat } from './heat.tsx';
