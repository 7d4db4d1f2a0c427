export { DecideRun } from './decide-run.tsx';
export { loadRuns, RunList } from './run-list.tsx';
