/** From the stored seam to the sheet that is edited, and from the sheet to its plan. */
import { planRequest, programOf, type PlanSite, type SeamResource, type SeamSpec } from '@fox-tempo/contract';
import type { Outcome } from '@fox-tempo/core/outcome';
import { planSeam, type Plan } from '@fox-tempo/core/plan';
import type { Sheet } from './sheet-fields.ts';
import { usualWire } from './wire-defaults.ts';

export function sheetOf(seam: SeamResource): Sheet {
  return { spec: seam.spec, choice: seam.choice ?? firstChoice(seam.spec) };
}

/** What a seam without a setting starts from. */
function firstChoice(spec: SeamSpec): Sheet['choice'] {
  return {
    mode: 'pulse',
    ...usualWire(spec.materialGroup),
    arcHabit: 'by-joint',
    wireFeedMPerMin: null,
    tune: null,
    sequence: null,
  };
}

/** Plan and program of a sheet, with what was tuned at the bench. */
export function settingOf({ spec, choice }: Sheet, site?: PlanSite) {
  return programOf(spec, choice, site);
}

export function planOf({ spec, choice }: Sheet, site?: PlanSite): Outcome<Plan> {
  return planSeam(planRequest(spec, choice, site));
}
