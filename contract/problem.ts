/** RFC 9457 problem documents: how every refusal of the API looks. */
import { z } from 'zod';

export const issueShape = z.object({
  path: z.string(),
  code: z.string(),
  message: z.string(),
  limit: z.unknown().optional(),
  got: z.unknown().optional(),
  hint: z.string().optional(),
});

/** Every problem the API can answer with: its type's last word, status and title. */
export const problems = {
  'malformed-json': { status: 400, title: 'The request body is not valid JSON' },
  'invalid-input': { status: 422, title: 'Some fields cannot be taken as they are' },
  'not-signed-in': { status: 401, title: 'Nobody is signed in on this device' },
  'wrong-pin': { status: 401, title: 'Name and PIN do not belong together' },
  'not-allowed': { status: 403, title: 'This is for another role' },
  'cross-site': { status: 403, title: 'Writes are taken from Fox Tempo’s own pages only' },
  'not-found': { status: 404, title: 'There is nothing at this address' },
  locked: { status: 409, title: 'A lead hand has locked this' },
  'method-not-allowed': { status: 405, title: 'This address does not take that method' },
  'stale-version': { status: 412, title: 'Somebody saved this since you opened it' },
  'too-large': { status: 413, title: 'The request body is too large' },
  'malformed-request': { status: 400, title: 'The request could not be read' },
  'unsupported-type': { status: 415, title: 'The body must be application/json' },
  'wrong-host': { status: 421, title: 'This server does not answer under that name' },
  'key-reused': { status: 422, title: 'This key was used for another write' },
  'version-missing': { status: 428, title: 'A write must say which version it was based on' },
  'key-missing': { status: 428, title: 'A write that adds something must carry a key' },
  'too-many': { status: 429, title: 'Too many requests; wait a little' },
  internal: { status: 500, title: 'Something broke on the server' },
  busy: { status: 503, title: 'The server computes all it can' },
  'database-away': { status: 503, title: 'The database cannot be reached' },
} as const;

export type ProblemKind = keyof typeof problems;

export const problemShape = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
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
