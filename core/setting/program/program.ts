/** A program: the physical setting for one wire, gas and mode, in the core's units. What machines are told, and what revisions keep. */
import type { FillerCode } from '../../metal/consumables/index.ts';
import type { CanonicalBeat } from '../double-pulse/index.ts';
import { usualGun, type GunAngles, type Plan, type PlanInput, type PlanMode } from '../plan/index.ts';
import { usualSequence, type TriggerSequence } from '../../weld/sequence/index.ts';

export interface ProgramPulse {
  readonly peakCurrentA: number;
  readonly peakTimeMs: number;
  readonly backgroundCurrentA: number;
  readonly frequencyHz: number;
  readonly slewAPerMs: number;
}

export interface Program {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly mode: PlanMode;
  /** Mean feed; with a slow beat the mean over a beat. */
  readonly wireFeedMPerMin: number;
  /** Arc length minus the line; plus is longer. */
  readonly trimMm: number;
  /** −10 soft .. +10 stiff. */
  readonly stiffness: number;
  /** Null in modes without a fast pulse. */
  readonly pulse: ProgramPulse | null;
  /** Only in double pulse. */
  readonly slowBeat: CanonicalBeat | null;
  readonly sequence: TriggerSequence;
  readonly ctwdMm: number;
  readonly travelMmPerMin: number;
  readonly gasFlowLPerMin: number;
  /** Left out in programs written before it was a field. */
  readonly gun?: GunAngles | undefined;
  /** Where the setting came from; a welder trusts an own earlier pass more than a rule. */
  readonly origin: 'rule' | 'rule, feed chosen' | 'read from a machine';
}

/** The program that a plan amounts to. */
export function programFromPlan(input: PlanInput, plan: Plan): Program {
  return {
    filler: input.filler,
    gas: input.gas,
    diameterMm: input.diameterMm,
    mode: input.mode,
    wireFeedMPerMin: plan.wireFeedMPerMin,
    trimMm: plan.trimMm,
    stiffness: 0,
    pulse: plan.pulse && pulseOf(plan.pulse),
    slowBeat: plan.slowBeat && beatOf(plan.slowBeat),
    sequence: usualSequence(input.filler, plan.thicknessMm, input.seam.lengthMm),
    ctwdMm: plan.ctwdMm,
    travelMmPerMin: plan.travelMmPerMin,
    gasFlowLPerMin: plan.gasFlowLPerMin,
    gun: usualGun(input.seam.joint, input.seam.thicknessesMm, input.filler),
    origin: input.wireFeedMPerMin === undefined ? 'rule' : 'rule, feed chosen',
  };
}

/** Just the five figures of a pulse. */
export function pulseOf({
  peakCurrentA,
  peakTimeMs,
  backgroundCurrentA,
  frequencyHz,
  slewAPerMs,
}: ProgramPulse): ProgramPulse {
  return { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz, slewAPerMs };
}

function beatOf({
  meanFeedMPerMin,
  highFeedMPerMin,
  lowFeedMPerMin,
  highShare,
  frequencyHz,
}: CanonicalBeat): CanonicalBeat {
  return { meanFeedMPerMin, highFeedMPerMin, lowFeedMPerMin, highShare, frequencyHz };
}
