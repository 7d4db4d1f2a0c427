import { loaderOfLast } from '../../sheet/last-seam.ts';

export { loadSeamAndMachines as loadBench } from '../../sheet/load.ts';
export { Bench } from './bench.tsx';
export const loadAnyBench = loaderOfLast('bench');
