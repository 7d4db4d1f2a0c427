/** RFC 9457 problem documents: how every refusal of the API looks. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { z } from 'zod';

/** A sentence. The server's code holds what it is made of; what goes out, and what every description of the API says, is its words. */
export const phraseField = z.string() as unknown as z.ZodType<Phrase>;

export const issueShape = z.object({
  path: z.string(),
  code: z.string(),
  message: phraseField,
  limit: z.unknown().optional(),
  got: z.unknown().optional(),
  hint: phraseField.optional(),
  /** Code and quantities of the two sentences, for whoever says them anew. */
  messageSaid: z.unknown().optional(),
  hintSaid: z.unknown().optional(),
});

export const problemShape = z.object({
  type: z.string(),
  title: phraseField,
  status: z.int(),
  detail: phraseField.optional(),
  issues: z.array(issueShape).optional(),
  /** Seconds to wait before trying again. */
  waitS: z.number().optional(),
  /** On a stale version: what is stored now. */
  current: z.unknown().optional(),
  /** On a stale version: what was sent. */
  yours: z.unknown().optional(),
});

export type Problem = z.infer<typeof problemShape>;
