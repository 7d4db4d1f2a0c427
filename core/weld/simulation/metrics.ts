/** What a run amounts to: means, transfer counts, how steady it was and how much it spat. */
import type { WireInGas } from '../../metal/arc/index.ts';
import type { Recorder } from './recorder.ts';

export interface SimulationMetrics {
  readonly meanCurrentA: number;
  readonly rmsCurrentA: number;
  readonly meanVoltageV: number;
  /** Mean of instantaneous u i at the contact tip. */
  readonly meanPowerW: number;
  readonly meanArcLengthMm: number;
  readonly minArcLengthMm: number;
  readonly maxArcLengthMm: number;
  readonly meanExtensionMm: number;
  readonly pulseFrequencyHz: number;
  readonly dropsPerS: number;
  readonly dropsPerPulse: number;
  /** Mean drop diameter over the wire's. */
  readonly dropFactor: number;
  readonly shortsPerS: number;
  readonly meanShortMs: number;
  /** Mean current at the end of a short, A; 0 without shorts. */
  readonly ruptureCurrentA: number;
  readonly arcOnShare: number;
  /** Spread over mean of the shorts plus that of the arcs between them: 0 clockwork; 0.6 to 1.2 in good dip. 0 without shorts. */
  readonly regularityIndex: number;
  /** Share of the wire fed that was bent away or burst off. */
  readonly lostShare: number;
  /** Hundredth of the sum over a second of (rupture current / 100 A)², and a tenth of the percentage lost. */
  readonly spatterIndex: number;
  /** 1 steady .. 0 erratic: from the spread of the intervals between drops. */
  readonly stabilityIndex: number;
}

export function metricsOf(wire: WireInGas, recorder: Recorder, feedMmPerS: number): SimulationMetrics {
  const s = Math.max(recorder.measuredS, 1e-9);
  const lit = recorder.arcLitS;
  const pulses = recorder.pulses - recorder.pulsesAtStart;
  const meanDropMm3 = recorder.drops > 0 ? recorder.dropMm3 / recorder.drops : 0;
  const lostShare = Math.min(recorder.lostMm3 / Math.max(feedMmPerS * wire.areaMm2 * s, 1e-9), 1);
  return {
    meanCurrentA: recorder.chargeAs / s,
    rmsCurrentA: Math.sqrt(recorder.squareA2s / s),
    meanVoltageV: recorder.voltSeconds / s,
    meanPowerW: recorder.energyJ / s,
    meanArcLengthMm: lit > 0 ? recorder.arcMmS / lit : 0,
    minArcLengthMm: Number.isFinite(recorder.minArcMm) ? recorder.minArcMm : 0,
    maxArcLengthMm: recorder.maxArcMm,
    meanExtensionMm: recorder.extensionMmS / s,
    pulseFrequencyHz: pulses / s,
    dropsPerS: recorder.drops / s,
    dropsPerPulse: pulses > 0 ? recorder.drops / pulses : 0,
    dropFactor: Math.cbrt((6 * meanDropMm3) / Math.PI) / wire.diameterMm,
    shortsPerS: recorder.shorts / s,
    meanShortMs: recorder.shorts > 0 ? (1000 * recorder.shortS) / recorder.shorts : 0,
    ruptureCurrentA: recorder.shorts > 0 ? Math.sqrt(recorder.ruptureA2 / recorder.shorts) : 0,
    arcOnShare: lit / s,
    regularityIndex: regularity(recorder),
    lostShare,
    spatterIndex: recorder.ruptureA2 / 1e6 / s + 10 * lostShare,
    stabilityIndex: steadiness(recorder),
  };
}

/** Source: the usual index of dip transfer, sd/mean of short time plus sd/mean of arc time. */
function regularity({ shorts, shortS, shortS2, betweenS, betweenS2 }: Recorder): number {
  if (shorts < 3) return 0;
  return relativeSpread(shorts, shortS, shortS2) + relativeSpread(shorts - 1, betweenS, betweenS2);
}

function relativeSpread(count: number, sum: number, squares: number): number {
  const mean = sum / count;
  return mean > 0 ? Math.sqrt(Math.max(squares / count - mean * mean, 0)) / mean : 0;
}

/** exp(−spread): 1 for drops like clockwork, 0.37 for drops at random. */
function steadiness({ drops, dropAtS }: Recorder): number {
  const count = Math.min(drops, dropAtS.length);
  if (count < 3) return 0;
  let sum = 0;
  let square = 0;
  for (let index = 1; index < count; index++) {
    const interval = (dropAtS[index] ?? 0) - (dropAtS[index - 1] ?? 0);
    sum += interval;
    square += interval * interval;
  }
  const mean = sum / (count - 1);
  const variance = Math.max(square / (count - 1) - mean * mean, 0);
  return Math.exp(-Math.sqrt(variance) / mean);
}
