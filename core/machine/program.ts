/** A program: the physical setting for one wire, gas and mode, in the core's units. What machines are told, and what revisions keep. */
import type { FillerCode } from '../consumables/index.ts';
import type { Plan, PlanInput } from '../plan/index.ts';

export interface Program {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly mode: 'pulse';
  readonly wireFeedMPerMin: number;
  /** Arc length minus the line; plus is longer. */
  readonly trimMm: number;
  /** −10 soft .. +10 stiff. */
  readonly stiffness: number;
  readonly pulse: {
    readonly peakCurrentA: number;
    readonly peakTimeMs: number;
    readonly backgroundCurrentA: number;
    readonly frequencyHz: number;
    readonly slewAPerMs: number;
  };
  readonly ctwdMm: number;
  readonly travelMmPerMin: number;
  readonly gasFlowLPerMin: number;
  /** Where the setting came from; a welder trusts an own earlier pass more than a rule. */
  readonly origin: 'rule' | 'rule, feed chosen';
}

/** The program that a pulse plan amounts to; a plan without a fast pulse is a bug here, since nothing offers to store one yet. */
export function programFromPlan(input: PlanInput, plan: Plan): Program {
  if (!plan.pulse) throw new Error(`a ${plan.mode} plan has no pulse to store`);
  const { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz, slewAPerMs } = plan.pulse;
  return {
    filler: input.filler,
    gas: input.gas,
    diameterMm: input.diameterMm,
    mode: 'pulse',
    wireFeedMPerMin: plan.wireFeedMPerMin,
    trimMm: plan.trimMm,
    stiffness: 0,
    pulse: { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz, slewAPerMs },
    ctwdMm: plan.ctwdMm,
    travelMmPerMin: plan.travelMmPerMin,
    gasFlowLPerMin: plan.gasFlowLPerMin,
    origin: input.wireFeedMPerMin === undefined ? 'rule' : 'rule, feed chosen',
  };
}
