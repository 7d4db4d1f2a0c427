/**
 * Globular-to-spray transition current of a solid wire in its gas; holds for 0.6..1.6 mm.
 * Source: classical handbook values (argon + 2 % oxygen for steels, argon for the rest), interpolated between diameters;
 * the gas correction is a *fit*: +1.2 % per 1 % CO2 (or per 2 % oxygen) up to 15 %, +2.5 % per 1 % beyond.
 */
import { activeCo2EquivalentPct, type FillerFamily, type GasComposition } from '../consumables/index.ts';

const diametersMm = [0.8, 0.9, 1.0, 1.2, 1.6] as const;

const tableA: Record<FillerFamily, readonly number[]> = {
  steel: [150, 165, 185, 220, 275],
  stainless: [145, 170, 190, 225, 285],
  aluminium: [95, 105, 115, 135, 180],
  'copper-silicon': [140, 165, 180, 205, 270],
};

const FULL_SLOPE_FROM_PCT = 15;

/** Transition current in A for a family, a diameter in mm (0.6..1.6, checked by the caller) and a gas. */
export function transitionCurrentA(family: FillerFamily, diameterMm: number, gas: GasComposition): number {
  const active = activeCo2EquivalentPct(gas);
  const gasFactor =
    1 + 0.012 * Math.min(active, FULL_SLOPE_FROM_PCT) + 0.025 * Math.max(active - FULL_SLOPE_FROM_PCT, 0);
  return baseTransitionA(tableA[family], diameterMm) * gasFactor;
}

function baseTransitionA(row: readonly number[], diameterMm: number): number {
  const first = diametersMm[0];
  if (diameterMm <= first) return (row[0] ?? 0) * (diameterMm / first) ** 0.8;
  for (let index = 1; index < diametersMm.length; index++) {
    const right = diametersMm[index] ?? 0;
    const left = diametersMm[index - 1] ?? 0;
    if (diameterMm <= right) {
      const share = (diameterMm - left) / (right - left);
      return (row[index - 1] ?? 0) * (1 - share) + (row[index] ?? 0) * share;
    }
  }
  return row.at(-1) ?? 0;
}
