/** One computation as the command line and the API offer it. */
import type { Phrase } from '@fox-tempo/core/said';
import type { Outcome } from '@fox-tempo/core/outcome';
import type { z } from 'zod';

export interface Verb {
  readonly summary: Phrase;
  readonly input: z.ZodType;
  /** Parses, computes; every issue at once. What takes long looks now and then whether anybody still waits. */
  run(input: unknown, isAwaited?: () => boolean): Outcome<unknown>;
}
