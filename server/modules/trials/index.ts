export { evidenceOf, withdrawTrial } from './repo.ts';
export { recordTrial, requireTrial, searchTrials } from './service.ts';
