/**
 * Sheet gauge numbers: a gauge is a different thickness for each metal.
 * Sources: steel, Manufacturers' Standard Gauge for sheet steel; galvanised, the same with its coating allowance as commonly
 * tabulated; stainless, the US Standard Gauge by fractions as tabulated for stainless sheet; aluminium, American (Brown & Sharpe) gauge.
 * Values in inches, as the tables print them.
 */
import { MM_PER_IN } from './factors.ts';

export type GaugedMetal = 'steel' | 'galvanised' | 'stainless' | 'aluminium';

const FIRST_GAUGE = 8;

const inches: Record<GaugedMetal, readonly number[]> = {
  steel: [
    0.1644, 0.1495, 0.1345, 0.1196, 0.1046, 0.0897, 0.0747, 0.0673, 0.0598, 0.0538, 0.0478, 0.0418, 0.0359, 0.0329,
    0.0299, 0.0269, 0.0239,
  ],
  galvanised: [
    0.1681, 0.1532, 0.1382, 0.1233, 0.1084, 0.0934, 0.0785, 0.071, 0.0635, 0.0575, 0.0516, 0.0456, 0.0396, 0.0366,
    0.0336, 0.0306, 0.0276,
  ],
  stainless: [
    0.1719, 0.1562, 0.1406, 0.125, 0.1094, 0.0938, 0.0781, 0.0703, 0.0625, 0.0562, 0.05, 0.0438, 0.0375, 0.0344, 0.0312,
    0.0281, 0.025,
  ],
  aluminium: [
    0.1285, 0.1144, 0.1019, 0.0907, 0.0808, 0.072, 0.0641, 0.0571, 0.0508, 0.0453, 0.0403, 0.0359, 0.032, 0.0285,
    0.0253, 0.0226, 0.0201,
  ],
};

export const gaugeLimits = { min: FIRST_GAUGE, max: FIRST_GAUGE + inches.steel.length - 1 } as const;

/** Thickness in mm of a gauge number for a metal, or undefined when the table does not hold it. */
export function gaugeToMm(metal: GaugedMetal, gauge: number): number | undefined {
  const value = inches[metal][gauge - FIRST_GAUGE];
  return value === undefined ? undefined : value * MM_PER_IN;
}

/** Every gauge with its thickness in mm by metal, for a table. */
export function gaugeRows(): {
  readonly gauge: number;
  readonly mm: Readonly<Record<GaugedMetal, number | undefined>>;
}[] {
  const metals = Object.keys(inches) as GaugedMetal[];
  return Array.from({ length: gaugeLimits.max - gaugeLimits.min + 1 }, (_, at) => {
    const gauge = gaugeLimits.min + at;
    const mm = Object.fromEntries(metals.map((metal) => [metal, gaugeToMm(metal, gauge)]));
    return { gauge, mm: mm as Record<GaugedMetal, number | undefined> };
  });
}
