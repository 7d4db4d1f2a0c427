/** The wire's reference pulse solved for a feed, without words: what plans and maps call by the hundred. */
import type { WireInGas } from '../arc/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../units/factors.ts';
import type { PulsePeak } from './balance.ts';
import {
  lowestPulsableRate,
  pulsableRates,
  solveWithStretch,
  type OneDropMiss,
  type OneDropPulse,
} from './one-drop.ts';
import { pulseReference } from './reference.ts';
import { pulseMeans } from './waveform.ts';

export const defaultSlewAPerMs = 600;

/** One drop per pulse at a feed (m/min) and extension (mm), or on which side of the pulsable feeds it lies. */
export function solveDefaultPulse(
  wire: WireInGas,
  extensionMm: number,
  wireFeedMPerMin: number,
): OneDropPulse | OneDropMiss {
  return solveWithStretch({ wire, extensionMm }, peakOf(wire), wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN);
}

/** Mean current (A) of that pulse; NaN where there is none, which no comparison takes for a number. */
export function pulsedCurrentA(wire: WireInGas, extensionMm: number, wireFeedMPerMin: number): number {
  const pulse = solveDefaultPulse(wire, extensionMm, wireFeedMPerMin);
  return typeof pulse === 'string' ? Number.NaN : pulseMeans(pulse).meanA;
}

/** The feeds (m/min) this wire pulses at one drop per pulse; undefined when there are none. */
export function pulseFeedRange(wire: WireInGas, extensionMm: number): readonly [number, number] | undefined {
  const rates = pulsableRates({ wire, extensionMm }, peakOf(wire));
  return rates && [rates[0] / MM_PER_S_PER_M_PER_MIN, rates[1] / MM_PER_S_PER_M_PER_MIN];
}

/** The lowest of them, m/min; much cheaper than both. */
export function lowestPulseFeed(wire: WireInGas, extensionMm: number): number | undefined {
  const rate = lowestPulsableRate({ wire, extensionMm }, peakOf(wire));
  return rate && rate / MM_PER_S_PER_M_PER_MIN;
}

function peakOf(wire: WireInGas): PulsePeak {
  const { peakCurrentA, peakTimeMs } = pulseReference(wire);
  return { peakCurrentA, peakTimeMs, slewAPerMs: defaultSlewAPerMs };
}
