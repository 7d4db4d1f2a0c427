/** Warmth that a moving line source put in a moment ago, by its own integral with the first images at the edges: what the modes are too coarse for. */
import { lossPerS, type Plate } from './plate-field.ts';

export interface Recent {
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

/** K above the surroundings, uniform through the thickness. Source: Rosenthal's line source, integrated over its own past. */
export function recentRise(plate: Plate, recent: Recent, x: number, y: number): number {
  const { lengthMm, widthMm, thicknessMm, diffusivityMm2PerS: alpha, volumetricHeatJPerMm3K } = plate;
  const young = Math.max(recent.toAgoS, youngestS);
  if (recent.fromAgoS <= young) return 0;
  const loss = lossPerS(plate);
  const from = Math.log(young);
  const width = (Math.log(recent.fromAgoS) - from) / points;
  let sum = 0;
  for (let at = 0; at < points; at++) {
    const age = Math.exp(from + (at + 0.5) * width);
    const sx = recent.now[0] - recent.velocity[0] * age;
    const sy = recent.now[1] - recent.velocity[1] * age;
    let kernels = 0;
    for (const ix of [sx, -sx, 2 * lengthMm - sx])
      for (const iy of [sy, -sy, 2 * widthMm - sy])
        kernels += Math.exp(-((x - ix) ** 2 + (y - iy) ** 2) / (4 * alpha * age));
    // d(age) = age d(ln age), and one over age from the kernel.
    sum += kernels * Math.exp(-loss * age) * width;
  }
  return (recent.powerW * sum) / (4 * Math.PI * alpha * volumetricHeatJPerMm3K * thicknessMm);
}
