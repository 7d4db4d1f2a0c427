/** Warmth that a moving line source put in a moment ago, by its own integral: what a field is too coarse for. Images are those that the part gives. */
import type { Metal } from './shapes.ts';
import { perMm2 } from '../../base/units/convert.ts';

export interface RecentLine {
  /** Where the source was at the moment asked about, or would be had it gone on, mm. */
  readonly now: readonly [number, number];
  readonly velocity: readonly [number, number];
  readonly powerW: number;
  /** It burned between so many seconds ago. */
  readonly fromAgoS: number;
  readonly toAgoS: number;
}

/** Points along the logarithm of the age; the integrand is smooth in it. */
const points = 48;
/** An arc is no point: ages under this put heat where it already is, s. */
const youngestS = 1e-4;
/** What lies so far off adds less than e^-30 and is left out. */
const faint = 30;

/** Loss by both faces of a sheet, 1/s. */
export function lossPerS({ lossWPerM2K, volumetricHeatJPerMm3K }: Metal, thicknessMm: number): number {
  return (2 * perMm2(lossWPerM2K)) / (volumetricHeatJPerMm3K * thicknessMm);
}

/**
 * K above the surroundings in a sheet, uniform through the thickness. `mirrorsX` and `mirrorsY` are the edges (mm) that turn heat back along either
 * direction. Source: Rosenthal's line source, integrated over its own past.
 */
export function recentLineRise(
  metal: Metal,
  thicknessMm: number,
  { now, velocity, powerW, fromAgoS, toAgoS }: RecentLine,
  [x, y]: readonly [number, number],
  mirrorsX: readonly number[],
  mirrorsY: readonly number[],
): number {
  const { diffusivityMm2PerS: alpha, volumetricHeatJPerMm3K } = metal;
  const young = Math.max(toAgoS, youngestS);
  if (fromAgoS <= young) return 0;
  const loss = lossPerS(metal, thicknessMm);
  const from = Math.log(young);
  const width = (Math.log(fromAgoS) - from) / points;
  let sum = 0;
  for (let at = 0; at < points; at++) {
    const age = Math.exp(from + (at + 0.5) * width);
    const along = kernels(x, now[0] - velocity[0] * age, mirrorsX, 4 * alpha * age);
    if (along === 0) continue;
    // d(age) = age d(ln age), and one over age from the kernel.
    sum += along * kernels(y, now[1] - velocity[1] * age, mirrorsY, 4 * alpha * age) * Math.exp(-loss * age) * width;
  }
  return (powerW * sum) / (4 * Math.PI * alpha * volumetricHeatJPerMm3K * thicknessMm);
}

function kernels(at: number, source: number, mirrors: readonly number[], spread: number): number {
  let sum = kernel(at - source, spread);
  for (const mirror of mirrors) sum += kernel(at - 2 * mirror + source, spread);
  return sum;
}

function kernel(distance: number, spread: number): number {
  const power = (distance * distance) / spread;
  return power > faint ? 0 : Math.exp(-power);
}
