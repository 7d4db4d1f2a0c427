/** Every problem the API can answer with. Plain data: the first view of the interface loads it, and not what checks its shape. */
import { message } from '@fox-tempo/core/said';
import type { Problem } from './problem-shape.ts';

/** Every problem the API can answer with: its type's last word, status and title. */
export const problems = {
  'malformed-json': { status: 400, title: message('contract.problem.not-json') },
  'invalid-input': { status: 422, title: message('contract.problem.invalid') },
  'not-signed-in': { status: 401, title: message('contract.problem.not-signed-in') },
  'wrong-pin': { status: 401, title: message('contract.problem.wrong-pin') },
  'not-allowed': { status: 403, title: message('contract.problem.other-role') },
  'cross-site': { status: 403, title: message('contract.problem.other-site') },
  'not-found': { status: 404, title: message('contract.problem.not-found') },
  'author-unknown': { status: 403, title: message('contract.problem.author') },
  'off-the-list': { status: 409, title: message('contract.problem.removed') },
  'ask-first': { status: 409, title: message('contract.problem.question') },
  locked: { status: 409, title: message('contract.problem.locked') },
  'method-not-allowed': { status: 405, title: message('contract.problem.method') },
  'stale-version': { status: 412, title: message('contract.problem.conflict') },
  'too-large': { status: 413, title: message('contract.problem.too-large') },
  'malformed-request': { status: 400, title: message('contract.problem.unreadable') },
  'unsupported-type': { status: 415, title: message('contract.problem.media-type') },
  'wrong-host': { status: 421, title: message('contract.problem.host') },
  'key-reused': { status: 422, title: message('contract.problem.key-reused') },
  'version-missing': { status: 428, title: message('contract.problem.version-required') },
  'key-missing': { status: 428, title: message('contract.problem.key-required') },
  'too-many': { status: 429, title: message('contract.problem.too-many') },
  internal: { status: 500, title: message('contract.problem.internal') },
  busy: { status: 503, title: message('contract.problem.busy') },
  'database-away': { status: 503, title: message('contract.problem.no-database') },
} as const;

export type ProblemKind = keyof typeof problems;

export type { Problem };

export function problemType(kind: ProblemKind): string {
  return `/problems/${kind}`;
}

export function problemKind(problem: Problem): ProblemKind {
  const kind = problem.type.replace('/problems/', '');
  return Object.hasOwn(problems, kind) ? (kind as ProblemKind) : 'internal';
}
