export { backCheck, type BackCheck } from './back-check.ts';
export { causeCodes, causes, type CauseCode } from './causes/index.ts';
export { diagnose, type DiagnoseInput, type Diagnosis, type RankedCause } from './diagnose.ts';
export { type Facts } from './facts.ts';
export { type Measured } from './measures.ts';
export { type Limits, type Move } from './moves.ts';
export { dialsOff, type DialsOff } from './dials-off.ts';
