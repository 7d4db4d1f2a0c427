export { loadRunPlan, RunPlan } from './run-plan.tsx';
