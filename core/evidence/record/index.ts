export { effective, type ObservedRow } from './effective.ts';
