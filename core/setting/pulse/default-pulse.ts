/** The wire's reference pulse solved for a feed, without words: what plans and maps call by the hundred. */
import type { WireInGas } from '../../metal/arc/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import type { PulsePeak } from './balance.ts';
import {
  lowestPulsableRate,
  pulsableRates,
  solveWithStretch,
  type OneDropMiss,
  type OneDropPulse,
} from './one-drop.ts';
import { pulseReference, type PulseReference } from './reference.ts';
import { oneDropTimeMs, pulseMeans } from './waveform.ts';

export const defaultSlewAPerMs = 600;

/**
 * The pulse for a feed (m/min) and extension (mm): one drop each, or streaming beyond; or on which side of the pulsable feeds it lies.
 * A machine that gives no more than `mostA` holds a lower peak longer.
 */
export function solveDefaultPulse(
  wire: WireInGas,
  extensionMm: number,
  wireFeedMPerMin: number,
  mostA?: number,
): OneDropPulse | OneDropMiss {
  return solveWithStretch({ wire, extensionMm }, peakOf(wire, mostA), wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN);
}

/** The reference pulse, or one that detaches the same drop with less current held longer where the machine gives no more. */
export function referenceWithin(
  reference: PulseReference,
  transitionA: number,
  slewAPerMs: number,
  mostA: number | undefined,
): PulseReference {
  if (mostA === undefined || reference.peakCurrentA <= mostA) return reference;
  const held = oneDropTimeMs(reference, transitionA, mostA, 0.4 * transitionA, slewAPerMs);
  // Under the transition no time is long enough; the square law then only says how far off the machine is.
  return {
    ...reference,
    peakCurrentA: mostA,
    peakTimeMs: held ?? reference.peakTimeMs * (reference.peakCurrentA / mostA) ** 2,
  };
}

/** Mean current (A) of that pulse; NaN where there is none, which no comparison takes for a number. */
export function pulsedCurrentA(wire: WireInGas, extensionMm: number, wireFeedMPerMin: number): number {
  const pulse = solveDefaultPulse(wire, extensionMm, wireFeedMPerMin);
  return typeof pulse === 'string' ? Number.NaN : pulseMeans(pulse).meanA;
}

/** The feeds (m/min) this wire pulses, streaming included; undefined when there are none. */
export function pulseFeedRange(
  wire: WireInGas,
  extensionMm: number,
  mostA?: number,
): readonly [number, number] | undefined {
  const rates = pulsableRates({ wire, extensionMm }, peakOf(wire, mostA));
  return rates && [rates[0] / MM_PER_S_PER_M_PER_MIN, rates[1] / MM_PER_S_PER_M_PER_MIN];
}

/** The lowest of them, m/min; much cheaper than both. */
export function lowestPulseFeed(wire: WireInGas, extensionMm: number): number | undefined {
  const rate = lowestPulsableRate({ wire, extensionMm }, peakOf(wire));
  return rate && rate / MM_PER_S_PER_M_PER_MIN;
}

function peakOf(wire: WireInGas, mostA?: number): PulsePeak {
  const { peakCurrentA, peakTimeMs } = referenceWithin(
    pulseReference(wire),
    wire.transitionA,
    defaultSlewAPerMs,
    mostA,
  );
  return { peakCurrentA, peakTimeMs, slewAPerMs: defaultSlewAPerMs, limitA: mostA };
}
