/** Programs and scores of the shop's scenarios, for tests: a refused one fails the test with its reason. */
import { inEnglish } from '@fox-tempo/words/english';
import { programFromPlan, type Program } from '../../../setting/program/index.ts';
import { planSeam } from '../../../setting/plan/index.ts';
import { scenarios } from '../../../scenarios/index.ts';
import type { TriggerSequence } from '../../sequence/index.ts';
import { scoreOf, type ScoreOf } from '../score.ts';

export function programOf(
  id: string,
  change: Partial<TriggerSequence> = {},
): { program: Program; lengthMm: number; thicknessMm: number } {
  const scenario = scenarios.find((one) => one.id === id);
  if (!scenario) throw new Error(id);
  const plan = planSeam(scenario.input);
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  const program = programFromPlan(scenario.input, plan.value);
  return {
    program: { ...program, sequence: { ...program.sequence, ...change } },
    lengthMm: scenario.input.seam.lengthMm,
    thicknessMm: plan.value.thicknessMm,
  };
}
export function scored(id: string, change: Partial<TriggerSequence> = {}, lengthMm?: number): ScoreOf {
  const made = programOf(id, change);
  const outcome = scoreOf(made.program, { lengthMm: lengthMm ?? made.lengthMm, thicknessMm: made.thicknessMm });
  if (!outcome.ok) throw new Error(inEnglish(outcome.issues[0]?.message));
  return outcome.value;
}
