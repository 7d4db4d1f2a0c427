export { doublePulse, usualMetal, type DoublePulseInput, type DoublePulseResult } from './beat.ts';
export type { CanonicalBeat } from './canonical.ts';
export { beatForPitchHz, ripplePitchMm, usualPitchMm } from './ripple.ts';
export { beatLimits, canonicalOf, sayBeat, type BeatInput, type BeatSchool, type SaidBeat } from './schools.ts';
