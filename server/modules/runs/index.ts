export { type KeptRun } from './repo.ts';
