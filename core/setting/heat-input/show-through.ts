/** Does the bead reach the back? Penetration after Jackson's form, p = K (I⁴ / (v U²))^(1/3), raised by a plate that is already warm; *fit*, ±30 %. */
import { usualBaseMetal } from '../../metal/conduction/index.ts';
import type { FillerFamily } from '../../metal/consumables/index.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

const penetrationK: Record<FillerFamily, number> = {
  steel: 0.036,
  stainless: 0.038,
  aluminium: 0.05,
  'copper-silicon': 0.012,
};

export type ShowThroughVerdict = 'cold' | 'sound' | 'prints through on the back' | 'burn-through likely';

export interface ShowThrough {
  readonly penetrationMm: number;
  readonly index: number;
  readonly band: readonly [number, number];
  readonly verdict: ShowThroughVerdict;
  /** Distance of the index to the nearer border of its verdict. */
  readonly margin: number;
}

const borders: readonly (readonly [upTo: number, verdict: ShowThroughVerdict])[] = [
  [0.25, 'cold'],
  [0.7, 'sound'],
  [1, 'prints through on the back'],
  [Number.POSITIVE_INFINITY, 'burn-through likely'],
];

/** I A, U V, travel mm/min, thickness mm, temperature ahead of the arc °C. */
export function showThrough(
  family: FillerFamily,
  currentA: number,
  voltageV: number,
  travelMmPerMin: number,
  thicknessMm: number,
  aheadC = 20,
): ShowThrough {
  const melting = usualBaseMetal(family).meltsAtC;
  const warm = Math.sqrt((melting - 20) / Math.max(melting - aheadC, 50));
  const penetrationMm =
    penetrationK[family] * Math.cbrt(currentA ** 4 / (travelMmPerS(travelMmPerMin) * voltageV * voltageV)) * warm;
  const index = penetrationMm / thicknessMm;
  // A braze leaves the base metal solid: it is never too cold for not melting it.
  const own = family === 'copper-silicon' ? borders.filter(([, name]) => name !== 'cold') : borders;
  const at = own.findIndex(([upTo]) => index <= upTo);
  const low = at > 0 ? (own[at - 1]?.[0] ?? 0) : 0;
  const high = own[at]?.[0] ?? index;
  return {
    penetrationMm,
    index,
    band: [0.7 * index, 1.3 * index],
    verdict: own[at]?.[1] ?? 'sound',
    margin: Math.min(at > 0 ? index - low : Number.POSITIVE_INFINITY, high - index),
  };
}
