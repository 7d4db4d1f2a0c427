export { loadSeamAndMachines as loadProcedure } from '../../sheet/load.ts';
export { ProcedureView } from './procedure-view.tsx';
