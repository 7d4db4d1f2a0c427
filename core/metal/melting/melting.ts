/**
 * Wire melting: v = kA/A I_mean + kB/A² L I_rms² (mm/s), arc heating plus resistive heating of the extension.
 * Sources: Lesnewich 1958 and Halmøy for the two terms; mean and rms split for pulse as in Palani & Murugan 2006.
 */
import type { WireInGas } from '../arc/index.ts';

/** Melting rate in mm/s for a mean and rms current (A) and an extension (mm). */
export function meltRateMmPerS(wire: WireInGas, meanA: number, rmsA: number, extensionMm: number): number {
  return wire.arcMeltMmPerAs * meanA + wire.extensionMeltPerA2s * extensionMm * rmsA * rmsA;
}

/** The steady current (A, rms = mean) that melts `rateMmPerS`: the positive root of the melting relation. */
export function steadyCurrentA(wire: WireInGas, rateMmPerS: number, extensionMm: number): number {
  const linear = wire.arcMeltMmPerAs;
  const square = wire.extensionMeltPerA2s * extensionMm;
  // Written so that it stays exact when the square term vanishes.
  return (2 * rateMmPerS) / (linear + Math.sqrt(linear * linear + 4 * square * rateMmPerS));
}

/** Mean current (A) that melts `rateMmPerS` when the rms current is known; negative when the rms alone melts more. */
export function meanCurrentForRms(wire: WireInGas, rateMmPerS: number, rmsA: number, extensionMm: number): number {
  return (rateMmPerS - wire.extensionMeltPerA2s * extensionMm * rmsA * rmsA) / wire.arcMeltMmPerAs;
}

/** Deposited metal in kg/h from a feed in m/min; the yield is included. */
export function depositionKgPerH(wire: WireInGas, wireFeedMPerMin: number): number {
  return wireFeedMPerMin * wire.areaMm2 * wire.densityKgPerM3 * wire.yield * 60e-6;
}
