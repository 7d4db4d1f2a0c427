export { loadSeamAndMachines as loadTrialRecord, loadSeamAndMachines as loadTrialPlan } from '../../sheet/load.ts';
export { CompareTrials, loadCompareTrials } from './compare-trials.tsx';
export { loadTrial, TrialView } from './trial.tsx';
export { loadTrials, TrialList } from './trial-list.tsx';
export { TrialPlan } from './trial-plan-view.tsx';
export { TrialRecord } from './trial-record.tsx';
