/** Every error the API can answer with, once. Plain data: the first view of the interface loads it, and not what checks its shape. */
import { message, type Phrase } from '@fox-tempo/core/base/messages';
import type { Problem } from './problem.ts';

/**
 * What becomes of a waiting record that met the error: `again`, the fault passes; `signed-in`, as soon as somebody is signed in; `person`, it
 * will be refused again, and whoever made it says what becomes of it.
 */
export type Fate = 'again' | 'signed-in' | 'person';

interface ErrorFacts {
  readonly status: number;
  readonly title: Phrase;
  readonly fate: Fate;
}

/** By the last word of the error's type. Somebody else's page or name (`cross-site`, `wrong-host`): the record is not at fault. */
export const problems = {
  'malformed-json': { status: 400, title: message('contract.problem.not-json'), fate: 'person' },
  'invalid-input': { status: 422, title: message('contract.problem.invalid'), fate: 'person' },
  'not-signed-in': { status: 401, title: message('contract.problem.not-signed-in'), fate: 'signed-in' },
  'wrong-pin': { status: 401, title: message('contract.problem.wrong-pin'), fate: 'person' },
  'not-allowed': { status: 403, title: message('contract.problem.other-role'), fate: 'person' },
  'cross-site': { status: 403, title: message('contract.problem.other-site'), fate: 'again' },
  'not-found': { status: 404, title: message('contract.problem.not-found'), fate: 'person' },
  'author-unknown': { status: 403, title: message('contract.problem.author'), fate: 'person' },
  'off-the-list': { status: 409, title: message('contract.problem.removed'), fate: 'person' },
  'ask-first': { status: 409, title: message('contract.problem.question'), fate: 'person' },
  locked: { status: 409, title: message('contract.problem.locked'), fate: 'person' },
  'method-not-allowed': { status: 405, title: message('contract.problem.method'), fate: 'person' },
  'stale-version': { status: 412, title: message('contract.problem.conflict'), fate: 'person' },
  'too-large': { status: 413, title: message('contract.problem.too-large'), fate: 'person' },
  'malformed-request': { status: 400, title: message('contract.problem.unreadable'), fate: 'person' },
  'unsupported-type': { status: 415, title: message('contract.problem.media-type'), fate: 'person' },
  'wrong-host': { status: 421, title: message('contract.problem.host'), fate: 'again' },
  'key-reused': { status: 422, title: message('contract.problem.key-reused'), fate: 'person' },
  'version-missing': { status: 428, title: message('contract.problem.version-required'), fate: 'person' },
  'key-missing': { status: 428, title: message('contract.problem.key-required'), fate: 'person' },
  'too-many': { status: 429, title: message('contract.problem.too-many'), fate: 'again' },
  internal: { status: 500, title: message('contract.problem.internal'), fate: 'again' },
  busy: { status: 503, title: message('contract.problem.busy'), fate: 'again' },
  'database-away': { status: 503, title: message('contract.problem.no-database'), fate: 'again' },
} as const satisfies Record<string, ErrorFacts>;

export type ProblemKind = keyof typeof problems;

export type { Problem };

export function problemType(kind: ProblemKind): string {
  return `/problems/${kind}`;
}

export function problemKind(problem: Problem): ProblemKind {
  const kind = problem.type.replace('/problems/', '');
  return Object.hasOwn(problems, kind) ? (kind as ProblemKind) : 'internal';
}

/** The server was not reached, or said no. */
export function fateOf(kind: ProblemKind | 'unreachable'): Fate {
  return kind === 'unreachable' ? 'again' : problems[kind].fate;
}
