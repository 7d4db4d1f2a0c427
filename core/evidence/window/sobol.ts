/** Points spread evenly through a cube: Sobol's sequence with a random digital shift, so that the same seed gives the same points. */
import { nextUniform, randomStream } from '../../base/numeric/random.ts';

const bits = 30;

/** Primitive polynomials (degree, coefficients) and first direction numbers. Source: Joe and Kuo 2008, dimensions 2 to 8. */
const directions: readonly { readonly degree: number; readonly a: number; readonly m: readonly number[] }[] = [
  { degree: 1, a: 0, m: [1] },
  { degree: 2, a: 1, m: [1, 3] },
  { degree: 3, a: 1, m: [1, 3, 1] },
  { degree: 3, a: 2, m: [1, 1, 1] },
  { degree: 4, a: 1, m: [1, 1, 3, 3] },
  { degree: 4, a: 4, m: [1, 3, 5, 13] },
  { degree: 5, a: 2, m: [1, 1, 5, 5, 17] },
];
export const mostDimensions = directions.length + 1;

/** `count` points of `dimensions` (at most 8) shares in [0, 1). */
export function sobol(count: number, dimensions: number, seed: number): number[][] {
  const stream = randomStream(seed);
  const shift = Array.from({ length: dimensions }, () => Math.floor(nextUniform(stream) * 2 ** bits));
  const numbers = Array.from({ length: dimensions }, (_, at) => directionNumbers(at));
  const state = new Array<number>(dimensions).fill(0);
  return Array.from({ length: count }, (_, index) => {
    if (index > 0) {
      // Gray code: one direction number a point.
      const bit = trailingZeros(index);
      for (let d = 0; d < dimensions; d++) state[d] = (state[d] ?? 0) ^ (numbers[d]?.[bit] ?? 0);
    }
    return state.map((value, d) => ((value ^ (shift[d] ?? 0)) >>> 0) / 2 ** bits);
  });
}

function directionNumbers(dimension: number): number[] {
  if (dimension === 0) return Array.from({ length: bits }, (_, at) => 2 ** (bits - 1 - at));
  const { degree, a, m } = directions[dimension - 1] ?? { degree: 1, a: 0, m: [1] };
  const numbers: number[] = [];
  for (let at = 0; at < bits; at++) {
    if (at < degree) numbers.push((m[at] ?? 1) * 2 ** (bits - 1 - at));
    else {
      let value = (numbers[at - degree] ?? 0) ^ ((numbers[at - degree] ?? 0) >>> degree);
      for (let k = 1; k < degree; k++) if ((a >> (degree - 1 - k)) & 1) value ^= numbers[at - k] ?? 0;
      numbers.push(value >>> 0);
    }
  }
  return numbers;
}

function trailingZeros(value: number): number {
  let count = 0;
  for (let rest = value; (rest & 1) === 0; rest >>>= 1) count++;
  return count;
}
