/** Limits in force on a seam: those written, or the preset of its level. */
import type { SeamResource } from '@fox-tempo/contract';
import { presetLimits, usualLevel, type AcceptanceLimits, type QualityLevel } from '@fox-tempo/core/evidence/trial';
import type { Site } from '@fox-tempo/core/site';
import { sheetOf } from './sheet.ts';
import { siteOfSeam, useShopSite } from './plan-site.ts';

/** As the server judges: by the saved setting at its own site. */
export function presetFor(seam: SeamResource, shop: Site, level: QualityLevel): AcceptanceLimits {
  const { spec, choice } = seam.revision ?? sheetOf(seam);
  return presetLimits(spec, choice, siteOfSeam(seam, shop), level);
}

export function useLimits(seam: SeamResource): {
  readonly limits: AcceptanceLimits;
  presetOf: (level: QualityLevel) => AcceptanceLimits;
} {
  const shop = useShopSite();
  return {
    limits: seam.limits ?? presetFor(seam, shop, usualLevel),
    presetOf: (level) => presetFor(seam, shop, level),
  };
}
