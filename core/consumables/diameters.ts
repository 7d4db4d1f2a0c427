/** Solid wire sizes on sale and their true diameters: inch sizes are not the metric ones beside them (0.8 mm carries 10 % more metal than 0.030 in). */
import { MM_PER_IN } from '../units/factors.ts';

export interface WireSize {
  readonly diameterMm: number;
  /** As printed on the spool. */
  readonly label: string;
}

// 0.023 in is 0.584 mm, below the model's 0.6 mm, and is left out.
const inchSizes = ['0.030', '0.035', '0.040', '0.045', '3/64', '1/16'] as const;

function inchesOf(label: string): number {
  const [over, under] = label.split('/').map(Number);
  return under === undefined ? Number(label) : (over ?? 0) / under;
}

export const wireSizes: readonly WireSize[] = [
  ...[0.6, 0.8, 0.9, 1.0, 1.2, 1.4, 1.6].map((diameterMm) => ({ diameterMm, label: `${diameterMm.toFixed(1)} mm` })),
  ...inchSizes.map((label) => ({ diameterMm: Number((inchesOf(label) * MM_PER_IN).toFixed(4)), label: `${label} in` })),
];

/** The size as printed on the spool, or the diameter itself where it is none on sale. */
export function wireSizeLabel(diameterMm: number): string {
  return wireSizes.find((size) => Math.abs(size.diameterMm - diameterMm) < 1e-3)?.label ?? `${diameterMm} mm`;
}

/** Wire cross-section in mm² of a diameter in mm. */
export function wireAreaMm2(diameterMm: number): number {
  return (Math.PI / 4) * diameterMm * diameterMm;
}
