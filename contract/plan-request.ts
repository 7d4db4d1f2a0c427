/** The core's question for a described seam and a chosen wire: one place, so that browser and server compute the same. */
import { programFromPlan, type Program } from '@fox-tempo/core/machine';
import { success, type Outcome } from '@fox-tempo/core/outcome';
import { planSeam, type Plan, type PlanInput, type ThicknessRule } from '@fox-tempo/core/plan';
import { noTune, tuned } from '@fox-tempo/core/tuning';
import type { ProgramChoice, ProgramFile } from './program.ts';
import type { SeamSpec } from './shop.ts';

/** What shop and machine bring to a plan, beside the seam. */
export interface PlanSite {
  /** Leads of the machine in front of the welder, mΩ; left out: the usual. */
  readonly circuitMOhm?: number | undefined;
  /** What that machine gives; rules modes out, leaves the figures alone, which belong to the seam. */
  readonly ceiling?: PlanInput['ceiling'];
  readonly thicknessRule?: ThicknessRule | undefined;
}

export function planRequest(spec: SeamSpec, choice: ProgramChoice, site: PlanSite = {}): PlanInput {
  return {
    seam: {
      materialGroup: spec.materialGroup,
      thicknessesMm: spec.thicknessesMm,
      joint: spec.joint,
      position: spec.position,
      gapMm: spec.gapMm,
      legMm: spec.legMm ?? undefined,
      lengthMm: spec.lengthMm,
      travelMmPerMin: spec.travelMmPerMin ?? undefined,
      preparation: spec.preparation ?? undefined,
      arcIntent: spec.arcIntent ?? undefined,
    },
    arcHabit: choice.arcHabit,
    filler: choice.filler,
    gas: choice.gas,
    diameterMm: choice.diameterMm,
    mode: choice.mode,
    wireFeedMPerMin: choice.wireFeedMPerMin ?? undefined,
    circuitMOhm: site.circuitMOhm,
    ceiling: site.ceiling,
    thicknessRule: site.thicknessRule,
    pace: choice.pace,
  };
}

/** The plan of a sheet and the program that comes of it, with what was tuned. Issues of both. */
export function programOf(
  spec: SeamSpec,
  choice: ProgramChoice,
  site: PlanSite = {},
): Outcome<{ readonly plan: Plan; readonly program: Program }> {
  const input = planRequest(spec, choice, site);
  const plan = planSeam(input);
  if (!plan.ok) return plan;
  const usual = programFromPlan(input, plan.value);
  const planned = {
    ...usual,
    ...(choice.sequence ? { sequence: choice.sequence } : {}),
    ...(choice.gun ? { gun: choice.gun } : {}),
  };
  if (choice.tune === null) return success({ plan: plan.value, program: planned });
  const moved = tuned(planned, { ...noTune, ...choice.tune });
  return moved.ok ? success({ plan: plan.value, program: moved.value }) : moved;
}

/**
 * The choice from which a seam's sheet computes a program that came as a file: everything that the program says stands as set by hand,
 * nothing is left to the plan but travel and gas flow, which belong to the seam.
 */
export function choiceOfProgram(program: ProgramFile): ProgramChoice {
  const { mode, filler, gas, diameterMm, wireFeedMPerMin, trimMm, stiffness, ctwdMm, pulse, slowBeat, sequence, gun } =
    program;
  return {
    mode,
    filler,
    gas,
    diameterMm,
    arcHabit: 'on-line',
    wireFeedMPerMin,
    tune: {
      trimMm,
      stiffness,
      ctwdMm,
      peakCurrentA: pulse?.peakCurrentA ?? null,
      peakTimeMs: pulse?.peakTimeMs ?? null,
      backgroundCurrentA: pulse?.backgroundCurrentA ?? null,
      frequencyHz: null,
      slowBeat,
    },
    sequence,
    ...(gun ? { gun } : {}),
  };
}
