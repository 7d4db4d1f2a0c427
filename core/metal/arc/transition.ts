/**
 * Globular-to-spray transition current of a solid wire in its gas; holds for 0.6..1.6 mm.
 * Source: classical handbook values (argon + 2 % oxygen for steels, argon for the rest), interpolated between diameters;
 * the gas correction is a *fit* to published values in argon with 8, 15 and 20 % CO2 and with 5 % oxygen: CO2 raises it by 0.9 % per 1 %
 * up to 15 % and by 1.5 % per 1 % beyond; oxygen lowers it by 2 % per 1 % above the 2 % that the table was made with.
 */
import type { FillerFamily, GasComposition } from '../consumables/index.ts';

const diametersMm = [0.8, 0.9, 1.0, 1.2, 1.6] as const;

const tableA: Record<FillerFamily, readonly number[]> = {
  steel: [150, 165, 185, 220, 275],
  stainless: [145, 170, 190, 225, 285],
  aluminium: [95, 105, 115, 135, 180],
  'copper-silicon': [140, 165, 180, 205, 270],
};

/** Shares of one per percent of the component. */
const co2Rises = { perPct: 0.009, perPctBeyond: 0.015, beyondPct: 15 } as const;
const oxygenLowers = { perPct: 0.02, fromPct: 2, leastFactor: 0.8 } as const;

/** Transition current in A for a family, a diameter in mm (0.6..1.6, checked by the caller) and a gas. */
export function transitionCurrentA(family: FillerFamily, diameterMm: number, gas: GasComposition): number {
  const { perPct, perPctBeyond, beyondPct } = co2Rises;
  const co2Factor = 1 + perPct * Math.min(gas.co2Pct, beyondPct) + perPctBeyond * Math.max(gas.co2Pct - beyondPct, 0);
  const { fromPct, leastFactor } = oxygenLowers;
  const oxygenFactor = Math.max(1 - oxygenLowers.perPct * Math.max(gas.o2Pct - fromPct, 0), leastFactor);
  return baseTransitionA(tableA[family], diameterMm) * co2Factor * oxygenFactor;
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
