/** Turns what Zod found into the core's issues: path, code, limit, value, and a sentence a welder can act on. */
import { message, joined, type Phrase } from '@fox-tempo/core/base/messages';
import {
  failure,
  rangeIssue,
  ranges,
  success,
  type Issue,
  type Outcome,
  type RangedField,
} from '@fox-tempo/core/base/outcome';
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
          ? {
              path,
              code: 'missing',
              message: message('contract.field.missing', {
                path: named(path),
                expected: typeWords(issue.expected),
              }),
            }
          : {
              path,
              code: 'wrong-type',
              message: message('contract.field.type', {
                path: named(path),
                expected: typeWords(issue.expected),
                got: shown(got),
              }),
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
          message: message('contract.field.choice', { path: named(path), known, got: shown(got) }),
          limit: known,
          got,
        },
      ];
    }
    case 'too_small':
    case 'too_big': {
      if (issue.code === 'too_small' && got === '')
        return [{ path, code: 'missing', message: message('contract.is-empty', { path: named(path) }), limit: 1, got }];
      const field = rangedField(path);
      const ranged = field && typeof got === 'number' ? rangeIssue(field, got, path) : undefined;
      const limit = Number(issue.code === 'too_small' ? issue.minimum : issue.maximum);
      const bound = issue.code === 'too_small' ? 'least' : 'other';
      const said =
        typeof got === 'number'
          ? message('contract.must-be-got', { path: named(path), bound, limit, got })
          : typeof got === 'string'
            ? message('contract.field.length', { path: named(path), bound, limit, got: got.length })
            : message('contract.must-be-bound', { path: named(path), bound, limit });
      return [ranged ?? { path, code: 'out-of-range', message: said, limit, got }];
    }
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        path: path === '' ? key : `${path}.${key}`,
        code: 'unknown-field',
        message: message('contract.field.unknown', { key }),
        got: key,
      }));
    case 'custom': {
      const own = issue.params?.['issue'] as Issue | undefined;
      return [own ? { ...own, path } : { path, code: 'invalid', message: ownWords(issue.message, path), got }];
    }
    default:
      return [{ path, code: 'invalid', message: ownWords(issue.message, path), got }];
  }
}

const typesSaid = ['number', 'int', 'string', 'boolean', 'array', 'object', 'null'] as const;

/** A type of the shapes in words. */
function typeWords(expected: string): Phrase {
  const type = expected === 'record' ? 'object' : typesSaid.find((one) => one === expected);
  return message(`contract.type-${type ?? 'other'}`);
}

/** A shape that has something of its own to say gives the code of it as its message; the library's own words are English and stay out. */
function ownWords(own: string, path: string): Phrase {
  if (own.startsWith('contract.')) return joined([named(path), { code: own, values: {} }], ': ');
  return message('contract.field.form', { path: named(path) });
}

function rangedField(path: string): RangedField | undefined {
  const parts = path.split('.');
  const last = parts.at(-1) ?? '';
  const name = last === '0' || last === '1' ? (parts.at(-2) ?? '').replace(/esMm$/, 'Mm') : last;
  if (name === 'rmsCurrentA') return 'currentA';
  return Object.hasOwn(ranges, name) ? (name as RangedField) : undefined;
}

function named(path: string): Phrase {
  return path === '' ? message('contract.the-input') : path;
}

function shown(value: unknown): string {
  const text = value === undefined ? 'nothing' : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}
