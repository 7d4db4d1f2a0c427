export { effective, type ObservedRow } from './effective.ts';
export { own } from './own.ts';
