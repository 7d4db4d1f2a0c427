/** What a plan is asked, and every reason to refuse it before anything is computed. */
import { inSentence, joined, oneOf, message } from '../../base/messages/index.ts';
import { fillerOf, materialOf, type FillerCode, type MaterialGroup } from '../../metal/consumables/index.ts';
import { gradeFit, gradeNamed } from '../../metal/grades/index.ts';
import { rangeIssues, type Issue } from '../../base/outcome/index.ts';
import { gasIssues, pulseGateIssues, sprayGasIssues, type MachineLimits } from '../pulse/index.ts';
import type { ArcIntent } from './arc-intents.ts';
import { jointRule, type Joint, type Thicknesses, thinnerMm } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { allowsPosition, positionName, type Position } from './positions.ts';
import { isGroove, preparationIssues, squareIssue, type Preparation } from './preparation.ts';
import type { Site } from './site.ts';

export type { PlanMode } from './mode.ts';

export type ArcHabit = 'by-joint' | 'on-line';

export interface Seam {
  readonly materialGroup: MaterialGroup;
  /** A code of the list of grades, or free text that names one; left out: not known. */
  readonly grade?: string | undefined;
  readonly thicknessesMm: Thicknesses;
  readonly joint: Joint;
  readonly position: Position;
  readonly gapMm: number;
  /** Asked leg of a fillet; left out: what suits the thinner part. */
  readonly legMm?: number | undefined;
  readonly lengthMm: number;
  /** The welder's own pace; left out: the pace that makes the leg. */
  readonly travelMmPerMin?: number | undefined;
  readonly plateC?: number | undefined;
  /** Edges of a butt; left out: square. */
  readonly preparation?: Preparation | undefined;
  /** What the arc is meant to do; left out: what the joint wants. */
  readonly arcIntent?: ArcIntent | undefined;
}

export interface GasTimes {
  readonly preGasS: number;
  readonly postGasS: number;
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
  /** Gas before and after each start as the trigger sequence has it; left out: the usual sequence's. */
  readonly gasTimes?: GasTimes | undefined;
  /** What the machine gives; the plan stays inside. */
  readonly machine?: MachineLimits | undefined;
  /** What shop, machine and welder bring to it. */
  readonly site: Site;
}

/** Every refusal that needs no computation: ranges, metal against wire, wire against gas, mode. Empty when the plan may go on. */
export function planInputIssues(input: PlanInput): Issue[] {
  const { seam, diameterMm, wireFeedMPerMin, site } = input;
  const issues: Issue[] = [
    ...rangeIssues({ diameterMm, wireFeedMPerMin }),
    ...rangeIssues({ circuitMOhm: site.circuitMOhm }, 'site.'),
  ];
  seam.thicknessesMm.forEach((thicknessMm, index) => {
    const [own] = rangeIssues({ thicknessMm });
    if (own) issues.push({ ...own, path: `seam.thicknessesMm.${index}` });
  });
  const { gapMm, legMm, lengthMm, travelMmPerMin, plateC } = seam;
  issues.push(...rangeIssues({ gapMm, legMm, lengthMm, travelMmPerMin, plateC }, 'seam.'));
  issues.push(...materialIssues(input));
  if (issues.length === 0) issues.push(...gradeIssues(input));
  issues.push(...modeIssues(input));
  if (issues.length === 0) issues.push(...edgeIssues(input));
  if (seam.legMm !== undefined && !jointRule(seam.joint).isFillet) {
    issues.push({
      path: 'seam.legMm',
      code: 'leg-without-fillet',
      message: message('plan.error.joint-has-no-leg', { name: inSentence(jointRule(seam.joint).name) }),
      got: seam.legMm,
      hint: message('plan.hint.leg-joints'),
    });
  }
  return issues;
}

/** Whether the edges of a butt can be planned as they are. */
function edgeIssues({ seam, filler }: PlanInput): Issue[] {
  const thinner = thinnerMm(seam.thicknessesMm);
  const isButt = seam.joint === 'butt';
  const wrong = preparationIssues(seam.preparation, isButt, thinner, seam.gapMm);
  if (wrong.length > 0 || !isButt || isGroove(seam.preparation)) return wrong;
  const square =
    fillerOf(filler).family === 'copper-silicon'
      ? undefined
      : squareIssue(thinner, seam.gapMm, seam.materialGroup === 'aluminium');
  return square ? [square] : [];
}

/** Whether wire, gas, metal and position allow the mode at all. */
function modeIssues({ mode, filler: code, gas, seam }: PlanInput): Issue[] {
  const filler = fillerOf(code);
  const issues: Issue[] =
    mode === 'pulse' || mode === 'double-pulse' ? pulseGateIssues(code, gas) : gasIssues(code, gas);
  const isCored = filler.construction === 'cored';
  // Metal-cored wire runs as spray; wires that make slag have an arc of their own and nothing else.
  if (isCored !== (mode === 'cored') && !(mode === 'spray' && code === 'steel-metal-cored') && issues.length === 0) {
    issues.push({
      path: 'mode',
      code: isCored ? 'cored-wire-only-cored' : 'cored-needs-cored-wire',
      message: isCored
        ? message('plan.error.filler-not-in-mode', { filler: filler.name, mode })
        : message('plan.error.cored-needs-cored-wire', { name: inSentence(filler.name) }),
      got: mode,
      hint: isCored ? message('plan.hint.use-cored-mode') : message('plan.hint.use-other-mode'),
    });
  }
  if (!allowsPosition(seam.position, mode)) {
    issues.push({
      path: 'seam.position',
      code: 'position-not-for-spray',
      message: message('plan.error.spray-position', { joint: positionName(seam.position, seam.joint) }),
      limit: ['PA', 'PB'],
      got: seam.position,
      hint: message('plan.hint.pulse-or-turn'),
    });
  }
  if (mode === 'spray') issues.push(...sprayGasIssues(code, gas));
  if (mode === 'dip' && filler.family === 'aluminium') {
    issues.push({
      path: 'mode',
      code: 'dip-not-for-aluminium',
      message: message('plan.error.dip-on-aluminium'),
      got: mode,
      hint: message('plan.use-pulse'),
    });
  }
  return issues;
}

/** A filler that never goes into the grade. */
function gradeIssues({ seam, filler }: PlanInput): Issue[] {
  const grade = seam.grade === undefined ? undefined : gradeNamed(seam.grade, seam.materialGroup);
  const fit = grade && gradeFit(grade, filler);
  if (fit?.verdict !== 'refused') return [];
  return [
    {
      path: 'filler',
      code: 'grade-filler',
      message: fit.message,
      limit: fit.instead,
      got: filler,
      hint: message('plan.hint.filler-for-grade', {
        fillers: joined(
          fit.instead.map((code) => fillerOf(code).name),
          ' / ',
        ),
      }),
    },
  ];
}

function materialIssues({ seam, filler: code }: PlanInput): Issue[] {
  const material = materialOf(seam.materialGroup);
  const filler = fillerOf(code);
  if (material.families.includes(filler.family)) return [];
  return [
    {
      path: 'filler',
      code: 'filler-not-for-metal',
      message: message('plan.does-not-join', { filler: filler.name, name: inSentence(material.name) }),
      limit: material.families,
      got: filler.code,
      hint: message('plan.hint.filler-family', {
        families: oneOf(material.families.map((family) => message(`name.${family}`))),
      }),
    },
  ];
}

/** Plate that nobody warmed, °C. */
export const coldPlateC = 20;

/** Pace by hand, mm/min, outside which a warning is due: going up is slow, aluminium runs. */
export function handTravelMmPerMin({ position, materialGroup }: Seam): readonly [number, number] {
  return [position === 'PF' ? 120 : 200, materialGroup === 'aluminium' ? 1000 : 900];
}

/** Lowest share of the wished current at which a seam is still planned. */
export const coldestShare = 0.85;
