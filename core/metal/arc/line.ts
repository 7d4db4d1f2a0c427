/** The line: the target arc length of a wire, independent of feed; trim is the arc length minus this. Rules of practice. */
import type { FillerFamily } from '../consumables/index.ts';

/** Pulse arc length of the line in mm. */
export function pulseLineMm(family: FillerFamily, diameterMm: number): number {
  if (family === 'aluminium') return 5.0;
  if (family === 'copper-silicon') return 4.5;
  return diameterMm <= 1.0 ? 3.5 : 4.5;
}
