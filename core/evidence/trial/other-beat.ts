/** Single against double pulse at the same leg: the setting of the other one, so that a coupon of each shows what the slow beat changes and nothing else. */
import { planSeam, withoutLearning, type Plan, type PlanInput } from '../../setting/plan/index.ts';
import type { Outcome } from '../../base/outcome/index.ts';

export interface OtherBeat {
  readonly mode: 'pulse' | 'double-pulse';
  readonly plan: Plan;
}

/** null where the setting is neither. `plan` is the setting's own. */
export function otherBeat(input: PlanInput, plan: Plan): Outcome<OtherBeat> | null {
  if (input.mode !== 'pulse' && input.mode !== 'double-pulse') return null;
  const mode = input.mode === 'pulse' ? 'double-pulse' : 'pulse';
  // The same wire in the same seconds is the same metal, and so the same leg.
  const { wireFeedMPerMin, travelMmPerMin } = plan;
  const seam = { ...input.seam, legMm: undefined, travelMmPerMin };
  const found = planSeam({ ...input, mode, seam, wireFeedMPerMin, site: withoutLearning(input.site) });
  return found.ok ? { ok: true, value: { mode, plan: found.value } } : found;
}
