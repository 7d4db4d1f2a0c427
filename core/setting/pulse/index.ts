export { dropFactorLimits, dropVolumeMm3 } from './drop.ts';
export { gasIssues, gasWarnings, pulseGateIssues, pulseGateLimits, sprayGasIssues } from './gates.ts';
export {
  defaultSlewAPerMs,
  lowestPulseFeed,
  pulsedCurrentA,
  pulseFeedRange,
  solveDefaultPulse,
} from './default-pulse.ts';
export { backgroundFloorA, type OneDropMiss, type OneDropPulse } from './one-drop.ts';
export { pulseReference, type PulseReference } from './reference.ts';
export type { MachineLimits, PulseInput } from './pulse-input.ts';
export { oneDropBand, solvePulse, type PulseResult } from './solve.ts';
export { leadMs, pulseMeans, waveformPoints, type FastPulse, type PulseMeans, type WaveformPoint } from './waveform.ts';
