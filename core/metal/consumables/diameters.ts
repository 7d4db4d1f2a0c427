/** Solid wire sizes on sale and their true diameters: inch sizes are not the metric ones beside them (0.8 mm carries 10 % more metal than 0.030 in). */
import { amount, joined, type Phrase } from '../../base/messages/index.ts';
import { MM_PER_IN } from '../../base/units/factors.ts';

export interface WireSize {
  readonly diameterMm: number;
  /** As printed on the spool. */
  readonly label: Phrase;
  /** Sold by the inch. */
  readonly isInch: boolean;
}

// 0.023 in is 0.584 mm, below the model's 0.6 mm, and is left out.
const inchSizes = ['0.030', '0.035', '0.040', '0.045', '3/64', '1/16'] as const;

function amountOf(diameterMm: number, digits?: number): Phrase {
  return joined([amount('wireSize', diameterMm, digits)]);
}

function inchesOf(label: string): number {
  const [over, under] = label.split('/').map(Number);
  return under === undefined ? Number(label) : (over ?? 0) / under;
}

export const wireSizes: readonly WireSize[] = [
  ...[0.6, 0.8, 0.9, 1.0, 1.2, 1.4, 1.6].map((diameterMm) => ({
    diameterMm,
    label: amountOf(diameterMm, 1),
    isInch: false,
  })),
  ...inchSizes.map((label) => ({
    diameterMm: Number((inchesOf(label) * MM_PER_IN).toFixed(4)),
    label: `${label} in`,
    isInch: true,
  })),
];

/** The size as printed on the spool, or the diameter itself where it is none on sale. */
export function wireSizeLabel(diameterMm: number): Phrase {
  return wireSizes.find((size) => Math.abs(size.diameterMm - diameterMm) < 1e-3)?.label ?? amountOf(diameterMm);
}

/** Wire cross-section in mm² of a diameter in mm. */
export function wireAreaMm2(diameterMm: number): number {
  return (Math.PI / 4) * diameterMm * diameterMm;
}
