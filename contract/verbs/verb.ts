/** One computation as the command line and the API offer it. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { failure, type Outcome } from '@fox-tempo/core/base/outcome';
import type { z } from 'zod';
import { parseWith } from '../issues.ts';

export interface Verb {
  readonly summary: Phrase;
  readonly input: z.ZodType;
  /** Parses, computes; every issue at once. What takes long looks now and then whether anybody still waits. */
  run(input: unknown, isAwaited?: () => boolean): Outcome<unknown>;
}

/** A verb that is one function of the core. */
export function verb<S extends z.ZodType>(
  summary: Phrase,
  input: S,
  compute: (value: z.output<S>, isAwaited: () => boolean) => Outcome<unknown>,
): Verb {
  return {
    summary,
    input,
    run(value, isAwaited = () => true) {
      const parsed = parseWith(input, value);
      return parsed.ok ? compute(parsed.value, isAwaited) : failure(...parsed.issues);
    },
  };
}
