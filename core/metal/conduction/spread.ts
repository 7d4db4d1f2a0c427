/** Kernels of conduction in a sheet: how a joule spreads along and across, and the steady field of a moving line source (Rosenthal). */

/** Share of a joule at a distance (mm) after a time (s) along one direction, 1/mm: a Gaussian of width 4 α t. */
export function spreadPerMm(distanceMm: number, ageS: number, diffusivityMm2PerS: number): number {
  const width = 4 * diffusivityMm2PerS * Math.max(ageS, 1e-3);
  return Math.exp(-(distanceMm * distanceMm) / width) / Math.sqrt(Math.PI * width);
}
