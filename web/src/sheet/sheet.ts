/** From the stored seam to the sheet that is edited. */
import type { SeamResource, SeamSpec } from '@fox-tempo/contract';
import type { Outcome } from '@fox-tempo/core/base/outcome';
import { planSeam, type Plan } from '@fox-tempo/core/setting/plan';
import { questionOf, type Site } from '@fox-tempo/core/site';
import type { Sheet } from './sheet-fields.ts';
import { usualWire } from './wire-defaults.ts';

export function sheetOf(seam: SeamResource): Sheet {
  return { spec: seam.spec, choice: seam.choice ?? firstChoice(seam.spec) };
}

/** What a seam without a setting starts from. */
function firstChoice(spec: SeamSpec): Sheet['choice'] {
  return {
    mode: 'pulse',
    ...usualWire(spec.materialGroup, spec.grade),
    arcHabit: 'by-joint',
    wireFeedMPerMin: null,
    tune: null,
    sequence: null,
  };
}

/** The plan alone: its figures stand also where what was tuned cannot be had. */
export function planOf({ spec, choice }: Sheet, site: Site): Outcome<Plan> {
  return planSeam(questionOf(spec, choice, site));
}
