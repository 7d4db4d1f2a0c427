/** A lead hand's consent, given on somebody else's session. */
import type { CoreSentences } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf } from './fields.ts';

/** A lead hand's name and PIN, given on somebody else's session. */
export const leadPin = z.strictObject({ personId: idOf('person'), pin: z.string().min(4).max(12) });

export type LeadPin = z.infer<typeof leadPin>;

export const reasonField = z
  .string()
  .trim()
  .min(3, 'contract.field.reason' satisfies keyof CoreSentences)
  .max(300);
