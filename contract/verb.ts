/** One computation as the command line and the API offer it. */
import type { Outcome } from '@fox-tempo/core';
import type { z } from 'zod';

export interface Verb {
  readonly summary: string;
  readonly input: z.ZodType;
  /** Parses, computes; every issue at once. */
  run(input: unknown): Outcome<unknown>;
}
