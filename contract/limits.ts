/** What a weld may look like: the acceptance limits of a seam. */
import { type AcceptanceLimits, backs, qualityLevels } from '@fox-tempo/core/evidence/trial';
import { z } from 'zod';
import { closed, ranged, timestampField } from './fields.ts';

/** Across a bead, mm. */
export const acrossMm = ranged('beadMm');
/** What is small of a bead, mm. */
export const smallMm = ranged('beadHeightMm');

export const limitsField: z.ZodType<AcceptanceLimits> = z.strictObject({
  level: closed(qualityLevels),
  isCritical: z.boolean(),
  legMm: z.strictObject({ least: acrossMm, most: acrossMm.nullable() }).nullable(),
  legDifferenceMm: smallMm.nullable(),
  throatMm: acrossMm.nullable(),
  heightMm: smallMm.nullable(),
  undercutMm: z.number().min(0).max(5),
  back: closed(backs),
  backMm: smallMm.nullable(),
  spatter: z.int().min(0).max(4),
  rootFusion: z.boolean(),
});

/** Null takes what was written away: the preset of level C counts again, and nothing can be issued. */
export const seamLimits = z.strictObject({
  limits: limitsField.nullable(),
  /** Needed where more may pass than before on a seam that is issued or locked. */
  reason: z.string().trim().max(300).default(''),
});

/** One writing of a seam's limits: its number, from 1, who wrote it, when and why. */
export const limitsWritten = z.object({ number: z.int(), by: z.string(), at: timestampField, reason: z.string() });

export const limitsHistory = z.array(limitsWritten.extend({ limits: limitsField.nullable() }));

export type SeamLimits = z.infer<typeof seamLimits>;

export type LimitsHistory = z.infer<typeof limitsHistory>;
