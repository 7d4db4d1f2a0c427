/**
 * The fast pulse as a trapezoid with finite slew; its peak time is the width at half height, so its mean equals the rectangle's and its rms is smaller.
 * When the slew cannot reach the asked peak in that time the pulse is a triangle with the same half-height width and a lower peak.
 */
import type { PulseReference } from './reference.ts';

export interface FastPulse {
  readonly peakCurrentA: number;
  /** Width at half height. */
  readonly peakTimeMs: number;
  readonly backgroundCurrentA: number;
  readonly frequencyHz: number;
  readonly slewAPerMs: number;
}

export interface PulseMeans {
  readonly meanA: number;
  readonly rmsA: number;
  /** The peak really reached at this slew. */
  readonly reachedPeakA: number;
  /** Time of one flank. */
  readonly rampMs: number;
}

/** Mean and rms current over one period. */
export function pulseMeans(pulse: FastPulse): PulseMeans {
  const rise = Math.min(pulse.peakCurrentA - pulse.backgroundCurrentA, pulse.slewAPerMs * pulse.peakTimeMs);
  const rampMs = rise / pulse.slewAPerMs;
  const perSecond = pulse.frequencyHz / 1000;
  const b = pulse.backgroundCurrentA;
  const meanA = b + rise * pulse.peakTimeMs * perSecond;
  // Integral of (b + rise s)² over the pulse less b²: 2 b rise tp + rise² (tp - ramp/3).
  const square = b * b + perSecond * (2 * b * rise * pulse.peakTimeMs + rise * rise * (pulse.peakTimeMs - rampMs / 3));
  return { meanA, rmsA: Math.sqrt(square), reachedPeakA: b + rise, rampMs };
}

/** One point of the drawn waveform. */
export interface WaveformPoint {
  readonly timeMs: number;
  readonly currentA: number;
}

/** Corner points of `periods` periods, starting with background; times in ms from zero. */
export function waveformPoints(pulse: FastPulse, periods: number): WaveformPoint[] {
  const { reachedPeakA, rampMs } = pulseMeans(pulse);
  const periodMs = 1000 / pulse.frequencyHz;
  const lead = leadMs(pulse);
  const points: WaveformPoint[] = [{ timeMs: 0, currentA: pulse.backgroundCurrentA }];
  for (let index = 0; index < periods; index++) {
    const from = index * periodMs + lead;
    const top = pulse.peakTimeMs - rampMs;
    points.push(
      { timeMs: from, currentA: pulse.backgroundCurrentA },
      { timeMs: from + rampMs, currentA: reachedPeakA },
      { timeMs: from + rampMs + top, currentA: reachedPeakA },
      { timeMs: from + 2 * rampMs + top, currentA: pulse.backgroundCurrentA },
    );
  }
  points.push({ timeMs: periods * periodMs, currentA: pulse.backgroundCurrentA });
  return points;
}

/** Background before the first rise in the drawn waveform, ms: half of the period's background. */
export function leadMs(pulse: FastPulse): number {
  return (1000 / pulse.frequencyHz - pulse.peakTimeMs - pulseMeans(pulse).rampMs) / 2;
}

/**
 * Impulse of one pulse that works on the drop: integral of i² over the time above Ic, A² s, up to `untilMs` after the foot of the rise.
 * This is what pinches the drop off in the simulated arc too. Source: Allum; Amin (I^n t = D with n close to 2).
 */
export function detachingImpulseA2s(pulse: FastPulse, transitionA: number, untilMs = Number.POSITIVE_INFINITY): number {
  const { reachedPeakA, rampMs } = pulseMeans(pulse);
  if (reachedPeakA <= transitionA) return 0;
  const b = pulse.backgroundCurrentA;
  const ic = Math.max(transitionA, b);
  const slope = pulse.slewAPerMs;
  const crossMs = (ic - b) / slope;
  const topFrom = rampMs;
  const topTo = pulse.peakTimeMs;
  const endMs = topTo + rampMs - crossMs;
  // Antiderivative of (i0 + s t)² along a flank, t measured from i0.
  const flank = (i0: number, s: number, t: number) => i0 * i0 * t + i0 * s * t * t + (s * s * t * t * t) / 3;
  const rise = clamp(untilMs - crossMs, 0, rampMs - crossMs);
  const top = clamp(untilMs - topFrom, 0, topTo - topFrom);
  const fall = clamp(untilMs - topTo, 0, endMs - topTo);
  const sum = flank(ic, slope, rise) + reachedPeakA * reachedPeakA * top + flank(reachedPeakA, -slope, fall);
  return sum / 1000;
}

/** Share of D that the reference pulse brings with its flanks: the middle of the band in which one drop leaves. */
const middleShare = 0.93;

/** Impulse at the middle of the one-drop band of this wire, A² s. */
export function neededImpulseA2s(reference: PulseReference): number {
  return middleShare * reference.detachmentA2s;
}

/**
 * Width in ms that a peak of `peakA` needs to bring the impulse of the reference pulse over the same background; it runs as peakA^-n with n near 1.9.
 * Undefined when the peak does not rise over the transition current, where nothing is pinched off.
 */
export function oneDropTimeMs(
  reference: PulseReference,
  transitionA: number,
  peakA: number,
  backgroundCurrentA: number,
  slewAPerMs: number,
): number | undefined {
  if (peakA <= transitionA * 1.02) return undefined;
  const pulse = (peakCurrentA: number, peakTimeMs: number) =>
    detachingImpulseA2s({ peakCurrentA, peakTimeMs, backgroundCurrentA, slewAPerMs, frequencyHz: 1 }, transitionA);
  const needed = pulse(reference.peakCurrentA, reference.peakTimeMs);
  // The flat top carries what the flanks of the new peak do not.
  const rampMs = (peakA - backgroundCurrentA) / slewAPerMs;
  const flanks = pulse(peakA, rampMs);
  const topMs = (1000 * (needed - flanks)) / (peakA * peakA);
  return Math.max(rampMs + topMs, 0.6 * rampMs);
}

/** Moment of the drop after the foot of the rise in ms, or undefined when one pulse is too weak. */
export function dropMomentMs(pulse: FastPulse, reference: PulseReference, transitionA: number): number | undefined {
  const needed = neededImpulseA2s(reference);
  const total = detachingImpulseA2s(pulse, transitionA);
  // The reference pulse misses its own rectangle by the rounding of its flanks; a drop that close to leaving leaves with the pulse.
  if (total < 0.75 * needed) return undefined;
  const { rampMs } = pulseMeans(pulse);
  let low = 0;
  let high = pulse.peakTimeMs + rampMs;
  if (total <= needed) return high;
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (detachingImpulseA2s(pulse, transitionA, middle) < needed) low = middle;
    else high = middle;
  }
  return high;
}

function clamp(value: number, min: number, max: number): number {
  return Math.min(Math.max(value, min), Math.max(min, max));
}
