/**
 * Metal a joint asks for, as cross-section in mm², and back from area to leg.
 * Fillet: geometry plus 10 % convexity. Butt, outside corner and edge: rules of practice, ±20 %.
 */

export const convexity = 0.1;
/** Caps of a square butt over and under the plate: width × (t + more) wide, rise × t + least high. */
export const squareButt = { width: 0.67, moreMm: 3, rise: 0.1, leastMm: 0.8 } as const;
/** Edge weld: so many mm² for each mm of both parts. */
export const edgeFactorMm = 1.2;

/** Triangle of leg `legMm` with convexity; a root gap makes the leg that must be filled longer by the gap. */
export function filletAreaMm2(legMm: number, gapMm = 0): number {
  const filled = legMm + gapMm;
  return (filled * filled * (1 + convexity)) / 2;
}

/** Inverse of `filletAreaMm2`. */
export function filletLegMm(areaMm2: number, gapMm = 0): number {
  return Math.sqrt((2 * areaMm2) / (1 + convexity)) - gapMm;
}

export function throatMm(legMm: number): number {
  return legMm / Math.SQRT2;
}

/** Square butt: the gap itself, and the caps on both sides. */
export function squareButtAreaMm2(thicknessMm: number, gapMm: number): number {
  const { width, moreMm, rise, leastMm } = squareButt;
  return gapMm * thicknessMm + width * (thicknessMm + moreMm) * (rise * thicknessMm + leastMm);
}

export function edgeAreaMm2(firstMm: number, secondMm: number): number {
  return edgeFactorMm * (firstMm + secondMm);
}
