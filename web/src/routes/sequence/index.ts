import { loaderOfLast } from '../../sheet/last-seam.ts';

export { loadSeamAndMachines as loadScore } from '../../sheet/load.ts';
export { ScoreView } from './score.tsx';
export const loadAnyScore = loaderOfLast('score');
