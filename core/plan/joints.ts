/** Joints as the plan sees them: paths for the heat, where the arc should stand, area to fill. Rules of practice. */
import { edgeAreaMm2, filletAreaMm2 } from '../bead/index.ts';
import type { FillerFamily } from '../consumables/index.ts';
import { squareArea } from './preparation.ts';
import { sizeRule } from './wishes.ts';

export type Joint = 'butt' | 'lap' | 'tee' | 'corner-outside' | 'edge';

export interface JointRule {
  readonly joint: Joint;
  readonly name: string;
  /** Ways for the heat to leave the seam, as practice counts them. */
  readonly heatPaths: number;
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
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'lap',
    name: 'Lap',
    heatPaths: 3,
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'butt',
    name: 'Butt',
    heatPaths: 2,
    arcMm: [3.5, 4.5],
    arcIntent: 'normal',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'corner-outside',
    name: 'Outside corner',
    heatPaths: 2,
    arcMm: [4.5, 6],
    arcIntent: 'long, so that the bead wraps',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'edge',
    name: 'Edge',
    heatPaths: 1,
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

/** Leg that suits a fillet where none is asked, mm: 2.35 t^0.48 of the thinner part, more with a fluid wire and going up. */
export function usualLegMm([first, second]: Thicknesses, family: FillerFamily, isVerticalUp: boolean): number {
  const { legBaseMm, legExponent, fluidWire, verticalUp } = sizeRule;
  const isFluid = family === 'aluminium' || family === 'copper-silicon';
  return (
    legBaseMm * Math.min(first, second) ** legExponent * (isFluid ? fluidWire : 1) * (isVerticalUp ? verticalUp : 1)
  );
}

/** Area to fill in mm² and the sum behind it; a prepared butt has its own. */
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
      return squareArea(thinner, gapMm);
    case 'corner-outside':
      return {
        areaMm2: sizeRule.cornerSquare * thinner * thinner + sizeRule.cornerLinear * thinner,
        because: `${sizeRule.cornerSquare} × ${t}² + ${sizeRule.cornerLinear} × ${t}`,
      };
    case 'edge':
      return { areaMm2: edgeAreaMm2(first, second), because: `1.2 (${round(first)} + ${round(second)})` };
  }
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
