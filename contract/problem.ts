/** RFC 9457 problem documents: how every refusal of the API looks. */
import { say, type Phrase } from '@fox-tempo/core/said';
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

/** Every problem the API can answer with: its type's last word, status and title. */
export const problems = {
  'malformed-json': { status: 400, title: say('contract.the-request-body-is-not') },
  'invalid-input': { status: 422, title: say('contract.some-fields-cannot-be-taken') },
  'not-signed-in': { status: 401, title: say('contract.nobody-is-signed-in-on') },
  'wrong-pin': { status: 401, title: say('contract.name-and-pin-do-not') },
  'not-allowed': { status: 403, title: say('contract.this-is-for-another-role') },
  'cross-site': { status: 403, title: say('contract.writes-are-taken-from-fox') },
  'not-found': { status: 404, title: say('contract.there-is-nothing-at-this') },
  'author-unknown': { status: 403, title: say('contract.who-made-this-record-cannot') },
  'off-the-list': { status: 409, title: say('contract.this-seam-is-off-the-list') },
  'ask-first': { status: 409, title: say('contract.this-asks-a-question-first') },
  locked: { status: 409, title: say('contract.a-lead-hand-has-locked') },
  'method-not-allowed': { status: 405, title: say('contract.this-address-does-not-take') },
  'stale-version': { status: 412, title: say('contract.somebody-saved-this-since-you') },
  'too-large': { status: 413, title: say('contract.the-request-body-is-too') },
  'malformed-request': { status: 400, title: say('contract.the-request-could-not-be') },
  'unsupported-type': { status: 415, title: say('contract.the-body-must-be-application') },
  'wrong-host': { status: 421, title: say('contract.this-server-does-not-answer') },
  'key-reused': { status: 422, title: say('contract.this-key-was-used-for') },
  'version-missing': { status: 428, title: say('contract.a-write-must-say-which') },
  'key-missing': { status: 428, title: say('contract.a-write-that-adds-something') },
  'too-many': { status: 429, title: say('contract.too-many-requests-wait-a') },
  internal: { status: 500, title: say('contract.something-broke-on-the-server') },
  busy: { status: 503, title: say('contract.the-server-computes-all-it') },
  'database-away': { status: 503, title: say('contract.the-database-cannot-be-reached') },
} as const;

export type ProblemKind = keyof typeof problems;

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

export function problemType(kind: ProblemKind): string {
  return `/problems/${kind}`;
}

export function problemKind(problem: Problem): ProblemKind {
  const kind = problem.type.replace('/problems/', '');
  return Object.hasOwn(problems, kind) ? (kind as ProblemKind) : 'internal';
}
