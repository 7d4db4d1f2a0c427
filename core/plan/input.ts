/** What a plan is asked, and every reason to refuse it before anything is computed. */
import { fillerOf, materialOf, type FillerCode, type MaterialGroup } from '../consumables/index.ts';
import { rangeIssues, type Issue } from '../outcome/index.ts';
import { gasIssues, pulseGateIssues, sprayGasIssues } from '../pulse/index.ts';
import { jointRule, type Joint, type Thicknesses } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { positionFactor, positionName, type Position } from './positions.ts';

export type { PlanMode } from './mode.ts';

export type ArcHabit = 'by-joint' | 'on-line';

export interface Seam {
  readonly materialGroup: MaterialGroup;
  readonly thicknessesMm: Thicknesses;
  readonly joint: Joint;
  readonly position: Position;
  readonly gapMm: number;
  /** Asked leg of a fillet; left out: the thinner plate, at least 3 mm. */
  readonly legMm?: number | undefined;
  readonly lengthMm: number;
  /** The welder's own pace; left out: the pace that makes the leg. */
  readonly travelMmPerMin?: number | undefined;
  readonly plateC?: number | undefined;
}

export interface PlanInput {
  readonly seam: Seam;
  readonly arcHabit: ArcHabit;
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly mode: PlanMode;
  /** A feed the welder has chosen instead of the proposed one. */
  readonly wireFeedMPerMin?: number | undefined;
  /** Leads, gun and return clamp together; default 15 mΩ. */
  readonly circuitMOhm?: number | undefined;
}

/** Every refusal that needs no computation: ranges, metal against wire, wire against gas, mode. Empty when the plan may go on. */
export function planInputIssues(input: PlanInput): Issue[] {
  const { seam, diameterMm, wireFeedMPerMin, circuitMOhm } = input;
  const issues: Issue[] = rangeIssues({ diameterMm, wireFeedMPerMin, circuitMOhm });
  seam.thicknessesMm.forEach((thicknessMm, index) => {
    const [own] = rangeIssues({ thicknessMm });
    if (own) issues.push({ ...own, path: `seam.thicknessesMm.${index}` });
  });
  const { gapMm, legMm, lengthMm, travelMmPerMin, plateC } = seam;
  issues.push(...rangeIssues({ gapMm, legMm, lengthMm, travelMmPerMin, plateC }, 'seam.'));
  issues.push(...materialIssues(input));
  issues.push(...modeIssues(input));
  if (seam.legMm !== undefined && !jointRule(seam.joint).isFillet) {
    issues.push({
      path: 'seam.legMm',
      code: 'leg-without-fillet',
      message: `A ${jointRule(seam.joint).name.toLowerCase()} joint has no leg; its area follows from thickness and gap.`,
      got: seam.legMm,
      hint: 'Leave the leg out, or choose a tee or lap joint.',
    });
  }
  return issues;
}

/** Whether wire, gas, metal and position allow the mode at all. */
function modeIssues({ mode, filler, gas, seam }: PlanInput): Issue[] {
  const issues: Issue[] =
    mode === 'pulse' || mode === 'double-pulse' ? pulseGateIssues(filler, gas) : gasIssues(filler, gas);
  if (positionFactor(seam.position, mode) === null) {
    issues.push({
      path: 'seam.position',
      code: 'position-not-for-spray',
      message: `Spray holds flat and in horizontal fillets only; in ${positionName(seam.position, seam.joint)} the pool runs away.`,
      limit: ['PA', 'PB'],
      got: seam.position,
      hint: 'Use pulse or dip, or turn the part.',
    });
  }
  if (mode === 'spray') issues.push(...sprayGasIssues(filler, gas));
  if (mode === 'dip' && fillerOf(filler).family === 'aluminium') {
    issues.push({
      path: 'mode',
      code: 'dip-not-for-aluminium',
      message: 'Dip transfer on aluminium leaves lack of fusion and pores.',
      got: mode,
      hint: 'Use pulse.',
    });
  }
  return issues;
}

function materialIssues({ seam, filler: code }: PlanInput): Issue[] {
  const material = materialOf(seam.materialGroup);
  const filler = fillerOf(code);
  if (material.families.includes(filler.family)) return [];
  return [
    {
      path: 'filler',
      code: 'filler-not-for-metal',
      message: `${filler.name} does not join ${material.name.toLowerCase()}.`,
      limit: material.families,
      got: filler.code,
      hint: `Choose a filler of the family ${material.families.join(' or ')}.`,
    },
  ];
}

/** Circuit resistance assumed when none was measured, mΩ (middle of the usual 5..30). */
export const defaultCircuitMOhm = 15;

/** Pace by hand, mm/min, outside which a warning is due. */
export const handTravelMmPerMin = [200, 900] as const;

/** Lowest share of the reference current at which a seam is still planned. */
export const coldestShare = 0.85;
