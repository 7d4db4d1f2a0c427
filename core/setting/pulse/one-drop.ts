/**
 * One drop per pulse: frequency and background for a feed, so that mass and melting balance hold together.
 * Among all drop sizes the one nearest the wire's own diameter is taken; each limit maps to a bound on the drop factor k,
 * because a higher background asks for a lower frequency and so for a larger drop.
 */
import { ranges } from '../../base/outcome/index.ts';
import { bracketedRoot } from '../../base/numeric/root.ts';
import {
  balancingBackground,
  balancingFrequency,
  meltedByPulse,
  meltingParts,
  type PulsePeak,
  type PulseSite,
} from './balance.ts';
import { dropFactorFor, dropFactorLimits, dropVolumeMm3, frequencyForDrop } from './drop.ts';
import { pulseReference } from './reference.ts';
import { neededImpulseA2s, pulseMeans, type FastPulse } from './waveform.ts';

/** Lowest background that keeps the arc alight, A: 12 % of the transition current, at least 15 A. */
export function backgroundFloorA(transitionA: number): number {
  return Math.max(0.12 * transitionA, 15);
}

export interface OneDropPulse extends FastPulse {
  readonly dropFactor: number;
  /** 1, or more where the pulse streams. */
  readonly dropsPerPulse: number;
}

/** Which way the feed lies outside what this pulse can carry. */
export type OneDropMiss = 'feed-too-low' | 'feed-too-high';

/** `rateMmPerS` of wire with a fixed peak current and time; the miss says on which side there is none. */
export function solveOneDrop(site: PulseSite, peak: PulsePeak, rateMmPerS: number): OneDropPulse | OneDropMiss {
  const { wire } = site;
  const floorA = backgroundFloorA(wire.transitionA);
  const ceilingA = Math.min(wire.transitionA, peak.peakCurrentA);
  const factorAt = (backgroundCurrentA: number) => {
    const hz = balancingFrequency(site, peak, backgroundCurrentA, rateMmPerS);
    return hz > 0 ? dropFactorFor(wire, rateMmPerS, hz) : Number.POSITIVE_INFINITY;
  };
  const fromFloor = factorAt(floorA);
  const fromCeiling = factorAt(ceilingA);
  const fromFastest = dropFactorFor(wire, rateMmPerS, ranges.frequencyHz.max);
  const fromSlowest = dropFactorFor(wire, rateMmPerS, ranges.frequencyHz.min);
  const lowest = Math.max(dropFactorLimits.min, fromFloor, fromFastest);
  const highest = Math.min(dropFactorLimits.max, fromCeiling, fromSlowest);
  if (lowest > highest) {
    // The floor of the background and the slowest pulse bind when there is too little wire, the other two when there is too much.
    return fromCeiling < dropFactorLimits.min || fromFastest > dropFactorLimits.max || fromFastest > fromCeiling
      ? 'feed-too-high'
      : 'feed-too-low';
  }
  const dropFactor = Math.min(Math.max(wire.nudges.dropFactor, lowest), highest);
  const frequencyHz = frequencyForDrop(wire, rateMmPerS, dropFactor);
  const backgroundCurrentA =
    balancingBackground(site, peak, frequencyHz, rateMmPerS, floorA, ceilingA) ??
    // On a bound the crossing lies within rounding of it.
    (dropFactor === fromFloor ? floorA : ceilingA);
  // Pulses that run into each other are no pulses: the feed is beyond this peak time.
  if (1000 / frequencyHz < peak.peakTimeMs + (peak.peakCurrentA - backgroundCurrentA) / peak.slewAPerMs)
    return 'feed-too-high';
  const { peakCurrentA, peakTimeMs, slewAPerMs } = peak;
  return { peakCurrentA, peakTimeMs, slewAPerMs, backgroundCurrentA, frequencyHz, dropFactor, dropsPerPulse: 1 };
}

/** How far the peak time may stretch when the reference one cannot carry the feed. */
export const peakTimeStretch = 1.4;

/** As `solveOneDrop`, with the peak time stretched as little as needed, up to 1.4 times; beyond that the pulse streams. */
export function solveWithStretch(site: PulseSite, peak: PulsePeak, rateMmPerS: number): OneDropPulse | OneDropMiss {
  const plain = solveOneDrop(site, peak, rateMmPerS);
  if (plain !== 'feed-too-high') return plain;
  const at = (stretch: number) => solveOneDrop(site, { ...peak, peakTimeMs: peak.peakTimeMs * stretch }, rateMmPerS);
  const steps = 8;
  let below = 1;
  for (let step = 1; step <= steps; step++) {
    const stretch = 1 + ((peakTimeStretch - 1) * step) / steps;
    if (typeof at(stretch) === 'object') {
      let low = below;
      let high = stretch;
      for (let halving = 0; halving < 20; halving++) {
        const middle = (low + high) / 2;
        if (typeof at(middle) === 'object') high = middle;
        else low = middle;
      }
      return at(high);
    }
    below = stretch;
  }
  return streaming(site, peak, rateMmPerS);
}

/**
 * Past the one-drop range: one parameter takes background, frequency and a little of the peak up together from where one drop ends,
 * so that more than one drop leaves with each pulse. Rule of practice; the ends are assumed and reach the feeds that are pulsed in practice.
 */
const stream = {
  /** Background at the end, in transition currents. */
  backgroundShare: 1.6,
  /** Peak at the end, in reference peaks. */
  peakShare: 1.2,
  /** Most of a period that the pulse fills. */
  fill: 0.85,
  /** Background stays so far below the peak, share. */
  belowPeak: 0.95,
} as const;

interface StreamEnds {
  readonly timeMs: number;
  readonly fromHz: number;
  readonly toHz: number;
}

function streamAt({ wire }: PulseSite, peak: PulsePeak, ends: StreamEnds, share: number): FastPulse {
  const peakCurrentA = Math.min(
    peak.peakCurrentA * (1 + (stream.peakShare - 1) * share),
    peak.limitA ?? Number.POSITIVE_INFINITY,
  );
  const backgroundCurrentA = Math.min(
    wire.transitionA * (1 + (stream.backgroundShare - 1) * share),
    stream.belowPeak * peakCurrentA,
  );
  return {
    peakCurrentA,
    peakTimeMs: ends.timeMs,
    slewAPerMs: peak.slewAPerMs,
    backgroundCurrentA,
    frequencyHz: ends.fromHz + (ends.toHz - ends.fromHz) * share,
  };
}

function streamEnds(site: PulseSite, peak: PulsePeak): StreamEnds {
  const { wire } = site;
  const timeMs = peak.peakTimeMs * peakTimeStretch;
  const stretched = { ...peak, peakTimeMs: timeMs };
  const ceilingA = Math.min(wire.transitionA, stream.belowPeak * peak.peakCurrentA);
  const rampMs = (peak.peakCurrentA - ceilingA) / peak.slewAPerMs;
  const toHz = Math.min(ranges.frequencyHz.max, (1000 * stream.fill) / (timeMs + rampMs));
  // Where the smallest drop leaves over the highest background: mass and melting balance are both linear in the frequency there.
  const [rest, perPulse] = meltingParts(site, stretched, ceilingA);
  const perDrop = dropVolumeMm3(wire.diameterMm, dropFactorLimits.min) / wire.areaMm2;
  const edgeHz = perDrop > perPulse ? rest / (perDrop - perPulse) : toHz;
  return { timeMs, fromHz: Math.min(Math.max(edgeHz, ranges.frequencyHz.min), toHz), toHz };
}

function streaming(site: PulseSite, peak: PulsePeak, rateMmPerS: number): OneDropPulse | OneDropMiss {
  const ends = streamEnds(site, peak);
  const miss = (share: number) => meltedByPulse(site, streamAt(site, peak, ends, share)) - rateMmPerS;
  // Between the last single drop and the first stream there may be a hole, with slow flanks or thin wires: refused as well.
  const share = bracketedRoot(miss, 0, 1);
  if (share === undefined) return 'feed-too-high';
  const pulse = streamAt(site, peak, ends, share);
  const { wire } = site;
  const { rmsA } = pulseMeans(pulse);
  // Over the transition the current pinches all the time, not only in the peaks.
  const dropsPerPulse = Math.max((rmsA * rmsA) / pulse.frequencyHz / neededImpulseA2s(pulseReference(wire)), 1);
  return { ...pulse, dropFactor: dropFactorFor(wire, rateMmPerS, pulse.frequencyHz * dropsPerPulse), dropsPerPulse };
}

/** Lowest feed (mm/s) this wire pulses one drop per pulse, or undefined when there is none. */
export function lowestPulsableRate(site: PulseSite, peak: PulsePeak): number | undefined {
  // Stretching the peak never helps a feed that is too low, so the plain verdict is enough.
  let [low, high] = [slowestRate, fastestRate];
  for (let step = 0; step < 24; step++) {
    const middle = Math.sqrt(low * high);
    if (solveOneDrop(site, peak, middle) === 'feed-too-low') low = middle;
    else high = middle;
  }
  return typeof solveOneDrop(site, peak, high * 1.0001) === 'object' ? high : undefined;
}

/** No wire of the model is pulsed outside these, mm/s. */
const slowestRate = 5;
const fastestRate = 500;

/** Lowest and highest feed (mm/s) this wire pulses one drop per pulse at this extension, or undefined when there is none. */
export function pulsableRates(site: PulseSite, peak: PulsePeak): readonly [number, number] | undefined {
  const verdict = (rate: number) => solveWithStretch(site, peak, rate);
  // The verdict runs from too low over a solution to too high, so both edges are found by halving the logarithm of the rate.
  const edge = (isAbove: (found: OneDropPulse | OneDropMiss) => boolean) => {
    let [low, high] = [slowestRate, fastestRate];
    for (let step = 0; step < 22; step++) {
      const middle = Math.sqrt(low * high);
      if (isAbove(verdict(middle))) high = middle;
      else low = middle;
    }
    return [low, high] as const;
  };
  const lowest = edge((found) => found !== 'feed-too-low')[1];
  const highest = edge((found) => found === 'feed-too-high')[0];
  return lowest < highest ? [lowest, highest] : undefined;
}
