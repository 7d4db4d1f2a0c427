export { loadSeamAndMachines as loadTrialRecord, loadSeamAndMachines as loadTrialPlan } from '../../sheet/load.ts';
export { CompareTrials, loadCompareTrials } from './compare-trials.tsx';
export { HistoryLine } from './history-line.tsx';
export { OwnWelds } from './own-welds.tsx';
export { WaitsForVerdict } from './waits-for-verdict.tsx';
export { loadTrial, TrialView } from './trial.tsx';
export { loadTrials, TrialList } from './trial-list.tsx';
export { TrialPlan } from './trial-plan-view.tsx';
export { TrialRecord } from './trial-record.tsx';
