/** Limits in force on a seam: those written, or the preset of its level. */
import type { SeamResource } from '@fox-tempo/contract';
import { limitsForSeam, usualLevel, type AcceptanceLimits, type QualityLevel } from '@fox-tempo/core/trials';
import { planOf, sheetOf } from '../../sheet/sheet.ts';

export function presetFor(seam: SeamResource, level: QualityLevel = usualLevel): AcceptanceLimits {
  const { spec, choice } = seam;
  const plan = planOf(sheetOf(seam));
  return limitsForSeam(level, {
    ...spec,
    mode: choice?.mode ?? 'pulse',
    legMm: spec.legMm ?? (plan.ok ? plan.value.legMm : null),
    backing: spec.preparation?.backing !== undefined && spec.preparation.backing !== 'none',
    isPrepared: spec.preparation !== undefined && spec.preparation !== null && spec.preparation.kind !== 'square',
  });
}

export function limitsOf(seam: SeamResource): AcceptanceLimits {
  return seam.limits ?? presetFor(seam);
}
