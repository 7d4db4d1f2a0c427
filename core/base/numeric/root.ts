/** A bracketed root of a continuous function by the Illinois variant of regula falsi: safe as bisection, a handful of evaluations. */

/**
 * The x in [low, high] where `f` crosses zero, or undefined when the ends do not bracket one or `f` has no value on the way (NaN).
 * Stops when the interval or the value is below the tolerance relative to the interval given. Throws where the tolerance is
 * finer than numbers are: the middle of what is left would be no root.
 */
export function bracketedRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance = 1e-10,
): number | undefined {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) return undefined;
  const width = Math.abs(high - low);
  let side = 0;
  // Illinois is superlinear; the cap only guards a function that is not continuous, where halving finishes the work.
  for (let step = 0; step < 100; step++) {
    const x = step < 60 ? (fa * b - fb * a) / (fa - fb) : (a + b) / 2;
    const fx = f(x);
    if (Number.isNaN(fx)) return undefined;
    if (fx === 0 || Math.abs(b - a) < tolerance * width) return x;
    if (fx * fb > 0) {
      if (Math.abs(b - x) < tolerance * width) return x;
      [b, fb] = [x, fx];
      if (side === -1) fa /= 2;
      side = -1;
    } else {
      if (Math.abs(x - a) < tolerance * width) return x;
      [a, fa] = [x, fx];
      if (side === 1) fb /= 2;
      side = 1;
    }
  }
  throw new Error(`no root within ${tolerance} of ${width} after 100 steps, between ${a} and ${b}`);
}
