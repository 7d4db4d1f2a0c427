/** Files inside a question: taken as they come, read in their own version, and their issues named under the field that held them. */
import { failure, type Issue, type Outcome } from '@fox-tempo/core/base/outcome';
import { z } from 'zod';

export const opaque = z.record(z.string(), z.unknown());

/** The same outcome with its issues' paths under the field that held the file. */
export function under<T>(field: string, outcome: Outcome<T>): Outcome<T> {
  if (outcome.ok) return outcome;
  return failure(
    ...outcome.issues.map((issue) => ({ ...issue, path: issue.path === '' ? field : `${field}.${issue.path}` })),
  );
}

export function issuesOf(outcome: Outcome<unknown>): readonly Issue[] {
  return outcome.ok ? [] : outcome.issues;
}
