/** Joints as the plan sees them: paths for the heat, share of the fillet's current, where the arc should stand, area to fill. Rules of practice. */
import { edgeAreaMm2, filletAreaMm2, outsideCornerAreaMm2, squareButtAreaMm2 } from '../bead/index.ts';

export type Joint = 'butt' | 'lap' | 'tee' | 'corner-outside' | 'edge';

export interface JointRule {
  readonly joint: Joint;
  readonly name: string;
  /** Ways for the heat to leave the seam, as practice counts them. */
  readonly heatPaths: number;
  readonly currentFactor: number;
  /** Arc length asked for by practice, mm: shortest and longest. */
  readonly arcMm: readonly [number, number];
  readonly arcIntent: 'short, into the root' | 'normal' | 'long, so that the bead wraps';
  readonly isFillet: boolean;
  /** Relative error of the area rule. */
  readonly areaError: number;
}

export const jointRules: readonly JointRule[] = [
  {
    joint: 'tee',
    name: 'Tee',
    heatPaths: 3,
    currentFactor: 1,
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'lap',
    name: 'Lap',
    heatPaths: 3,
    currentFactor: 1,
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'butt',
    name: 'Butt',
    heatPaths: 2,
    currentFactor: 0.9,
    arcMm: [3.5, 4.5],
    arcIntent: 'normal',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'corner-outside',
    name: 'Outside corner',
    heatPaths: 2,
    currentFactor: 0.75,
    arcMm: [4.5, 6],
    arcIntent: 'long, so that the bead wraps',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'edge',
    name: 'Edge',
    heatPaths: 1,
    currentFactor: 0.65,
    arcMm: [4.5, 6],
    arcIntent: 'long, so that the bead wraps',
    isFillet: false,
    areaError: 0.2,
  },
];

export const joints: readonly Joint[] = jointRules.map((rule) => rule.joint);

export function jointRule(joint: Joint): JointRule {
  const rule = jointRules.find((candidate) => candidate.joint === joint);
  if (!rule) throw new Error(`unknown joint ${joint}`);
  return rule;
}

export type Thicknesses = readonly [number, number];

/** Thickness that counts, mm, and how it was found. Butt, outside corner and edge: the thinner part. Tee and lap: the mean, at most twice the thinner. */
export function thicknessThatCounts(
  joint: Joint,
  [first, second]: Thicknesses,
): { thicknessMm: number; because: string } {
  const thinner = Math.min(first, second);
  if (!jointRule(joint).isFillet) return { thicknessMm: thinner, because: `the thinner part, ${round(thinner)} mm` };
  const mean = (first + second) / 2;
  const capped = Math.min(mean, 2 * thinner);
  return capped < mean
    ? { thicknessMm: capped, because: `twice the thinner, 2 × ${round(thinner)} = ${round(capped)} mm` }
    : { thicknessMm: mean, because: `mean of ${round(first)} and ${round(second)} = ${round(mean)} mm` };
}

/** Leg taken when none is asked for: the thinner plate, at least 3 mm. */
export function defaultLegMm([first, second]: Thicknesses): number {
  return Math.max(Math.min(first, second), 3);
}

/** Area to fill in mm² and the sum behind it. */
export function jointArea(
  joint: Joint,
  [first, second]: Thicknesses,
  gapMm: number,
  legMm: number,
): { areaMm2: number; because: string } {
  const thinner = Math.min(first, second);
  const t = round(thinner);
  switch (joint) {
    case 'tee':
    case 'lap':
      return {
        areaMm2: filletAreaMm2(legMm, gapMm),
        because: `(${round(legMm)}${gapMm > 0 ? ` + gap ${round(gapMm)}` : ''})²/2 × 1.10`,
      };
    case 'butt':
      return {
        areaMm2: squareButtAreaMm2(thinner, gapMm),
        because: `${round(gapMm)} × ${t} + 0.67 (${t} + 3)(0.1 × ${t} + 0.8)`,
      };
    case 'corner-outside':
      return { areaMm2: outsideCornerAreaMm2(thinner), because: `${t}²/2 + 0.75 × ${t}` };
    case 'edge':
      return { areaMm2: edgeAreaMm2(first, second), because: `1.2 (${round(first)} + ${round(second)})` };
  }
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
