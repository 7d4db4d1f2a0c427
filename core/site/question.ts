/** The one question to the plan: a seam as described, what was chosen for it, and the site. Everything that shows a figure of a seam asks it here. */
import { programFromPlan, type Program } from '../setting/program/index.ts';
import { type Machine } from '../machine/description/index.ts';
import { success, type Outcome } from '../base/outcome/index.ts';
import {
  planSeam,
  withoutLearning,
  type ArcHabit,
  type ArcIntent,
  type GunAngles,
  type HandPace,
  type Joint,
  type Plan,
  type PlanInput,
  type PlanMode,
  type Position,
  type Preparation,
  type Site,
  type Thicknesses,
} from '../setting/plan/index.ts';
import type { FillerCode, MaterialGroup } from '../metal/consumables/index.ts';
import type { TriggerSequence } from '../weld/sequence/index.ts';
import { noTune, tuned, type Tune } from '../machine/tuning/index.ts';

/** A seam as it was described; null where the plan decides. */
export interface DescribedSeam {
  readonly materialGroup: MaterialGroup;
  readonly grade: string;
  readonly thicknessesMm: Thicknesses;
  readonly joint: Joint;
  readonly position: Position;
  readonly gapMm: number;
  readonly legMm: number | null;
  readonly lengthMm: number;
  readonly travelMmPerMin: number | null;
  readonly preparation?: Preparation | null | undefined;
  readonly arcIntent?: ArcIntent | null | undefined;
}

/** What a person chose for it; null where the plan decides. */
export interface SettingChoice {
  readonly mode: PlanMode;
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly arcHabit: ArcHabit;
  readonly wireFeedMPerMin: number | null;
  readonly tune: Tune | null;
  readonly sequence: TriggerSequence | null;
  readonly gun?: GunAngles | undefined;
  /** Learned travel speed that was taken over with the setting. */
  readonly pace?: HandPace | undefined;
}

export interface Setting {
  readonly question: PlanInput;
  readonly plan: Plan;
  /** The plan as a program, with what was tuned. */
  readonly program: Program;
}

export function questionOf(seam: DescribedSeam, choice: SettingChoice, site: Site): PlanInput {
  return {
    seam: {
      materialGroup: seam.materialGroup,
      grade: seam.grade,
      thicknessesMm: seam.thicknessesMm,
      joint: seam.joint,
      position: seam.position,
      gapMm: seam.gapMm,
      legMm: seam.legMm ?? undefined,
      lengthMm: seam.lengthMm,
      travelMmPerMin: seam.travelMmPerMin ?? undefined,
      preparation: seam.preparation ?? undefined,
      arcIntent: seam.arcIntent ?? undefined,
    },
    arcHabit: choice.arcHabit,
    filler: choice.filler,
    gas: choice.gas,
    diameterMm: choice.diameterMm,
    mode: choice.mode,
    wireFeedMPerMin: choice.wireFeedMPerMin ?? undefined,
    gasTimes: choice.sequence ?? undefined,
    site: { ...site, pace: site.pace ?? choice.pace ?? null },
  };
}

/** What the rule alone would say: the "planned" in every ratio of found over planned. */
export function ruleQuestion(seam: DescribedSeam, choice: SettingChoice, site: Site): PlanInput {
  return questionOf(seam, { ...choice, pace: undefined }, withoutLearning(site));
}

/** The plan and the program that comes of it, with what was tuned. Issues of both. */
export function settingOf(seam: DescribedSeam, choice: SettingChoice, site: Site): Outcome<Setting> {
  const question = questionOf(seam, choice, site);
  const plan = planSeam(question);
  if (!plan.ok) return plan;
  const planned = {
    ...programFromPlan(question, plan.value),
    ...(choice.sequence ? { sequence: choice.sequence } : {}),
    ...(choice.gun ? { gun: choice.gun } : {}),
  };
  if (choice.tune === null) return success({ question, plan: plan.value, program: planned });
  const moved = tuned(planned, { ...noTune, ...choice.tune });
  return moved.ok ? success({ question, plan: plan.value, program: moved.value }) : moved;
}

/** The site with the machine in front of the welder: leads as measured last, limits, wires calibrated on it. */
export function atMachine(site: Site, machine: Pick<Machine, 'circuitMOhm' | 'limits' | 'corrections'>): Site {
  const { peakCurrentA, wireFeedMPerMin } = machine.limits;
  return {
    ...site,
    circuitMOhm: machine.circuitMOhm,
    limits: { maxCurrentA: peakCurrentA, wireFeedMPerMin },
    calibration: machine.corrections ?? [],
  };
}
