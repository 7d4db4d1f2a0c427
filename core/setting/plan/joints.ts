/** Joints as the plan sees them: paths for the heat, where the arc should stand, area to fill. Rules of practice. */
import { absent, type Phrase, message } from '../../base/messages/index.ts';
import { convexity, edgeAreaMm2, edgeFactorMm, filletAreaMm2 } from '../bead/index.ts';
import type { FillerFamily } from '../../metal/consumables/index.ts';
import { squareArea } from './preparation.ts';
import { sizeRule } from './wishes.ts';

export type Joint = 'butt' | 'lap' | 'tee' | 'corner-outside' | 'edge';

export interface JointRule {
  readonly joint: Joint;
  readonly name: Phrase;
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
    name: message('plan.tee'),
    heatPaths: 3,
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'lap',
    name: message('plan.lap'),
    heatPaths: 3,
    arcMm: [2.5, 3.5],
    arcIntent: 'short, into the root',
    isFillet: true,
    areaError: 0.05,
  },
  {
    joint: 'butt',
    name: message('plan.butt'),
    heatPaths: 2,
    arcMm: [3.5, 4.5],
    arcIntent: 'normal',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'corner-outside',
    name: message('plan.outside-corner'),
    heatPaths: 2,
    arcMm: [4.5, 6],
    arcIntent: 'long, so that the bead wraps',
    isFillet: false,
    areaError: 0.2,
  },
  {
    joint: 'edge',
    name: message('plan.edge'),
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

/** The part that burns through first, and whose size sets the leg. */
export function thinnerMm([first, second]: Thicknesses): number {
  return Math.min(first, second);
}

/** Leg that suits a fillet where none is asked, mm: 2.35 t^0.48 of the thinner part, more with a fluid wire and going up. */
export function usualLegMm(thicknesses: Thicknesses, family: FillerFamily, isVerticalUp: boolean): number {
  const { legBaseMm, legExponent, fluidWire, verticalUp } = sizeRule;
  const fluid = isFluidWire(family) ? fluidWire : 1;
  return legBaseMm * thinnerMm(thicknesses) ** legExponent * fluid * (isVerticalUp ? verticalUp : 1);
}

/** Wires whose pool runs wider at the same feed. */
export function isFluidWire(family: FillerFamily): boolean {
  return family === 'aluminium' || family === 'copper-silicon';
}

/** Area to fill in mm² and the sum behind it; a prepared butt has its own. */
export function jointArea(
  joint: Joint,
  thicknessesMm: Thicknesses,
  gapMm: number,
  legMm: number,
): { areaMm2: number; because: Phrase } {
  const [first, second] = thicknessesMm;
  const thinner = thinnerMm(thicknessesMm);
  const t = round(thinner);
  switch (joint) {
    case 'tee':
    case 'lap':
      return {
        areaMm2: filletAreaMm2(legMm, gapMm),
        because: message('plan.because.fillet-area', {
          convexity: 1 + convexity,
          leg: round(legMm),
          gap: gapMm > 0 ? round(gapMm) : absent,
        }),
      };
    case 'butt':
      return squareArea(thinner, gapMm);
    case 'corner-outside':
      return {
        areaMm2: sizeRule.cornerSquare * thinner * thinner + sizeRule.cornerLinear * thinner,
        because: message('plan.2', { cornerSquare: sizeRule.cornerSquare, t, cornerLinear: sizeRule.cornerLinear }),
      };
    case 'edge':
      return {
        areaMm2: edgeAreaMm2(first, second),
        because: message('plan.edge-area', { factor: edgeFactorMm, first: round(first), second: round(second) }),
      };
  }
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
