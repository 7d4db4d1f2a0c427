/** The preset of acceptance limits for a seam: one home, so that the form that proposes them and the judgement that takes them agree. */
import { planSetting } from '../../setting/plan/index.ts';
import { ruleQuestion, type DescribedSeam, type SettingChoice, type Site } from '../../site/index.ts';
import { limitsForSeam } from './limits-for-seam.ts';
import type { AcceptanceLimits, QualityLevel } from './limits.ts';

/** Sizes lean on the leg that was asked for, else on the rule's own, without anybody's learned travel speed. */
export function presetLimits(
  seam: DescribedSeam,
  choice: SettingChoice,
  site: Site,
  level: QualityLevel,
): AcceptanceLimits {
  const plan = planSetting(ruleQuestion(seam, choice, site));
  return limitsForSeam(level, {
    ...seam,
    mode: choice.mode,
    legMm: seam.legMm ?? (plan.ok ? plan.value.legMm : null),
    backing: seam.preparation?.backing !== undefined && seam.preparation.backing !== 'none',
    isPrepared: seam.preparation !== undefined && seam.preparation !== null && seam.preparation.kind !== 'square',
  });
}
