export { DecideRun } from './decide-run.tsx';
export { flushRuns, sendRun, waitingRuns } from './waiting.ts';
export { loadRuns, RunList } from './run-list.tsx';
