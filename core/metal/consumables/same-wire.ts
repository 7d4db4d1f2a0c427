/** When two wires count as the same: class by its canonical code, size within what is sold and dialled as one. */
import { canonicalFiller, type FillerCode } from './fillers.ts';

/** Two wires count as one size within this, mm: 0.035 in is sold and dialled as 0.9 mm. */
export const sameSizeMm = 0.03;

export function sameWire(
  a: { readonly filler: string; readonly diameterMm: number },
  b: { readonly filler: string; readonly diameterMm: number },
): boolean {
  return (
    canonicalFiller(a.filler as FillerCode) === canonicalFiller(b.filler as FillerCode) &&
    Math.abs(a.diameterMm - b.diameterMm) < sameSizeMm
  );
}
