/** Turns what Zod found into the core's issues: path, code, limit, value, and a sentence a welder can act on. */
import {
  failure,
  rangeIssue,
  ranges,
  success,
  type Issue,
  type Outcome,
  type RangedField,
} from '@fox-tempo/core/outcome';
import type { z } from 'zod';

/** Parses an unknown value; every issue at once. */
export function parseWith<S extends z.ZodType>(shape: S, value: unknown): Outcome<z.output<S>> {
  const parsed = shape.safeParse(value, { reportInput: true });
  if (parsed.success) return success(parsed.data);
  return failure(...parsed.error.issues.flatMap((issue) => toIssues(issue)));
}

function toIssues(issue: z.core.$ZodIssue): Issue[] {
  const path = issue.path.map(String).join('.');
  const got = issue.input;
  switch (issue.code) {
    case 'invalid_type':
      return [
        got === undefined
          ? { path, code: 'missing', message: `${named(path)} is missing; a ${issue.expected} is needed.` }
          : {
              path,
              code: 'wrong-type',
              message: `${named(path)} must be a ${issue.expected}; got ${shown(got)}.`,
              limit: issue.expected,
              got,
            },
      ];
    case 'invalid_value': {
      const known = issue.values.map(String);
      return [
        {
          path,
          code: got === undefined ? 'missing' : 'unknown-code',
          message: `${named(path)} must be one of ${known.join(', ')}; got ${shown(got)}.`,
          limit: known,
          got,
        },
      ];
    }
    case 'too_small':
    case 'too_big': {
      if (issue.code === 'too_small' && got === '')
        return [{ path, code: 'missing', message: `${named(path)} is empty.`, limit: 1, got }];
      const field = rangedField(path);
      const ranged = field && typeof got === 'number' ? rangeIssue(field, got, path) : undefined;
      const limit = Number(issue.code === 'too_small' ? issue.minimum : issue.maximum);
      const bound = issue.code === 'too_small' ? 'at least' : 'at most';
      const message =
        typeof got === 'number'
          ? `${named(path)} must be ${bound} ${limit}; got ${got}.`
          : typeof got === 'string'
            ? `${named(path)} must have ${bound} ${limit} characters; it has ${got.length}.`
            : `${named(path)}: ${issue.message}.`;
      return [ranged ?? { path, code: 'out-of-range', message, limit, got }];
    }
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        path: path === '' ? key : `${path}.${key}`,
        code: 'unknown-field',
        message: `"${key}" is not a field here; check its spelling.`,
        got: key,
      }));
    case 'custom': {
      const own = issue.params?.['issue'] as Issue | undefined;
      return [own ? { ...own, path } : { path, code: 'invalid', message: issue.message, got }];
    }
    default:
      return [{ path, code: 'invalid', message: `${named(path)}: ${issue.message}.`, got }];
  }
}

function rangedField(path: string): RangedField | undefined {
  const parts = path.split('.');
  const last = parts.at(-1) ?? '';
  const name = last === '0' || last === '1' ? (parts.at(-2) ?? '').replace(/esMm$/, 'Mm') : last;
  if (name === 'rmsCurrentA') return 'currentA';
  return Object.hasOwn(ranges, name) ? (name as RangedField) : undefined;
}

function named(path: string): string {
  return path === '' ? 'The input' : path;
}

function shown(value: unknown): string {
  const text = value === undefined ? 'nothing' : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}
