export { loadSeamAndMachines as loadSetup } from '../../sheet/load.ts';
export { Setup } from './setup.tsx';
export { Step } from './step.tsx';
