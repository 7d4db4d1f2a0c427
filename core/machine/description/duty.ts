/** Duty cycle on a 10 minute period: D2 = D1 (I1 / I2)², never above 100 %. In pulse the rms current counts. */

/** Share of time (percent) at `currentA`, from one point of the rating plate. */
export function dutyPercent(ratedPercent: number, ratedA: number, currentA: number): number {
  return Math.min(100, ratedPercent * (ratedA / currentA) ** 2);
}

/** Highest current (A) at a share of time (percent). */
export function currentAtDuty(ratedPercent: number, ratedA: number, dutyWantedPercent: number): number {
  return ratedA * Math.sqrt(ratedPercent / dutyWantedPercent);
}

/** Share of ten minutes at a current, from the nearest point of the rating plate; undefined without one. */
export function dutyFromPlate(
  points: readonly { readonly percent: number; readonly currentA: number }[] | undefined,
  currentA: number,
): number | undefined {
  const [first, ...rest] = points ?? [];
  if (!first) return undefined;
  const nearest = rest.reduce(
    (best, point) => (Math.abs(point.currentA - currentA) < Math.abs(best.currentA - currentA) ? point : best),
    first,
  );
  return dutyPercent(nearest.percent, nearest.currentA, currentA);
}
