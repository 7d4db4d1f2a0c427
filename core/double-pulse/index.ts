export type { CanonicalBeat } from './canonical.ts';
