/** `plan`: the setting of a seam. */
import { type PlanInput, planSeam } from '@fox-tempo/core/setting/plan';
import { completeSite } from '@fox-tempo/core/site';
import { programFromPlan } from '@fox-tempo/core/setting/program';
import { success, type Outcome } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { programVersion } from '../files/program.ts';
import { verb } from './verb.ts';
import {
  arcHabitField,
  arcIntentField,
  fillerField,
  gasField,
  jointField,
  materialField,
  modeField,
  positionField,
  preparationField,
  ranged,
  thicknessRuleField,
} from '../fields.ts';
import { machineLimits } from '../machine-limits.ts';
import { knownSite } from '../site.ts';

export const seamInput = z.strictObject({
  materialGroup: materialField,
  grade: z.string().trim().max(80).optional(),
  thicknessesMm: z.tuple([ranged('thicknessMm'), ranged('thicknessMm')]),
  joint: jointField,
  position: positionField,
  gapMm: ranged('gapMm'),
  legMm: ranged('legMm').optional(),
  lengthMm: ranged('lengthMm'),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  plateC: ranged('plateC').optional(),
  preparation: preparationField.optional(),
  arcIntent: arcIntentField.optional(),
});

export const planInput = z.strictObject({
  seam: seamInput,
  arcHabit: arcHabitField,
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  mode: modeField,
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  /** What the plan stays inside. */
  machine: machineLimits.optional(),
  /** Shop's, machine's and welder's part; what is left out is the standard site's. */
  site: knownSite.optional(),
  /** The three below were asked beside the seam before there was a site; they are still read. */
  circuitMOhm: ranged('circuitMOhm').optional(),
  thicknessRule: thicknessRuleField.optional(),
  paceSpread: z.number().min(0.01).max(1).optional(),
  /** Adds the program that the plan amounts to. */
  program: z.boolean().optional(),
});

/** The core's question of an asked plan, with its site made complete. */
export function questionOfVerb({
  site,
  circuitMOhm,
  thicknessRule,
  paceSpread,
  program: _program,
  ...question
}: z.output<typeof planInput>): PlanInput {
  return { ...question, site: completeSite({ circuitMOhm, thicknessRule, paceSpread, ...site }) };
}

/** The plan, with the program file it amounts to where that is asked for. */
function plan(asked: z.output<typeof planInput>): Outcome<unknown> {
  const input = questionOfVerb(asked);
  const planned = planSeam(input);
  if (!planned.ok || !asked.program) return planned;
  const program = { format: 'fox-tempo/program', version: programVersion, ...programFromPlan(input, planned.value) };
  return success({ ...planned.value, program });
}

export const planVerb = verb(message('contract.verb.plan'), planInput, plan);
