/**
 * One drop per pulse: frequency and background for a feed, so that mass and melting balance hold together.
 * Among all drop sizes the one nearest the wire's own diameter is taken; each limit maps to a bound on the drop factor k,
 * because a higher background asks for a lower frequency and so for a larger drop.
 */
import { ranges } from '../outcome/index.ts';
import { balancingBackground, balancingFrequency, type PulsePeak, type PulseSite } from './balance.ts';
import { dropFactorFor, dropFactorLimits, frequencyForDrop } from './drop.ts';
import type { FastPulse } from './waveform.ts';

/** Lowest background that keeps the arc alight, A: 12 % of the transition current, at least 15 A. */
export function backgroundFloorA(transitionA: number): number {
  return Math.max(0.12 * transitionA, 15);
}

export interface OneDropPulse extends FastPulse {
  readonly dropFactor: number;
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
  return { peakCurrentA, peakTimeMs, slewAPerMs, backgroundCurrentA, frequencyHz, dropFactor };
}

/** How far the peak time may stretch when the reference one cannot carry the feed. */
export const peakTimeStretch = 1.4;

/** As `solveOneDrop`, with the peak time stretched as little as needed, up to 1.4 times. */
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
  return 'feed-too-high';
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
