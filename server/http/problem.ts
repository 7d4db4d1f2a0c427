/** Refusals as exceptions on the way out, RFC 9457 problem documents on the wire. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { message, withSentences } from '@fox-tempo/words';
import { english } from '@fox-tempo/words/english';
import { wordsOf } from './words.ts';
import { problems, problemType, type Problem, type ProblemKind } from '@fox-tempo/contract';
import type { Issue, Outcome } from '@fox-tempo/core/base/outcome';
import { factsOf, log } from './log.ts';
import type { ErrorRequestHandler, RequestHandler } from 'express';

export class HttpProblem extends Error {
  readonly body: Problem;
  constructor(kind: ProblemKind, detail: Phrase, extra: Partial<Problem> = {}) {
    super(english.format(detail));
    const { status, title } = problems[kind];
    this.body = { type: problemType(kind), title, status, detail, ...extra };
  }
}

/** The value, or a 422 that lists every issue. */
export function orProblem<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw invalidInput(outcome.issues);
}

export function invalidInput(issues: readonly Issue[]): HttpProblem {
  return new HttpProblem('invalid-input', issues[0]?.message ?? message('server.http.error.input-refused'), {
    issues: [...issues],
  });
}

export const notFound: RequestHandler = (request) => {
  throw new HttpProblem(
    'not-found',
    message('server.http.error.no-endpoint', { method: request.method, path: request.originalUrl.slice(0, 200) }),
  );
};

export const sendProblem: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const problem = toProblem(error);
  if (problem.body.status === 500) log.error('a request failed', factsOf(error));
  if (problem.body.waitS !== undefined) response.set('Retry-After', String(Math.ceil(problem.body.waitS)));
  response
    .status(problem.body.status)
    .type('application/problem+json')
    .send(JSON.stringify(withSentences(problem.body, wordsOf(response))));
};

function toProblem(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  const type = textProperty(error, 'type');
  if (type === 'entity.parse.failed') return new HttpProblem('malformed-json', message('server.http.error.not-json'));
  if (type === 'entity.too.large') return new HttpProblem('too-large', message('server.http.error.body-too-large'));
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') {
    return new HttpProblem('unsupported-type', message('server.http.error.not-utf-8'));
  }
  const sqlState = sqlStateOf(error);
  // Class 22 is data that a column cannot hold: text for a date, a number too large, a character it does not know.
  if (/^22/.test(sqlState)) return new HttpProblem('invalid-input', message('server.http.error.unreadable-value'));
  if (sqlState === '23505') return new HttpProblem('invalid-input', message('server.http.there-already'));
  if (sqlState === '23503') return new HttpProblem('invalid-input', message('server.http.error.missing-reference'));
  if (sqlState === '23001') return new HttpProblem('not-allowed', message('server.http.error.record-is-kept'));
  // Two writers who locked each other out, or one who waited too long: nothing was written.
  if (/^(40|55)/.test(sqlState) || sqlState === '57014')
    return new HttpProblem('busy', message('server.http.error.write-conflict'), { waitS: 1 });
  const status = numberProperty(error, 'status') ?? numberProperty(error, 'statusCode');
  if (error instanceof URIError)
    return new HttpProblem('malformed-request', message('server.http.error.address-unreadable'));
  if (status === 404) return new HttpProblem('not-found', message('server.http.error.nothing-here'));
  // What the body reader, the file server and Node itself say of a request they could not read.
  if (status !== undefined && status >= 400 && status < 500) {
    return new HttpProblem('malformed-request', message('server.http.error.request-damaged'));
  }
  if (error instanceof Error && error.name === 'AbortError')
    return new HttpProblem('malformed-request', message('server.http.error.client-left'));
  if (isDatabaseAway(error)) {
    return new HttpProblem('database-away', message('server.http.error.no-database'));
  }
  return new HttpProblem('internal', message('server.http.error.internal'));
}

function sqlStateOf(error: unknown, depth = 0): string {
  if (typeof error !== 'object' || error === null || depth > 5) return '';
  const code = textProperty(error, 'code') ?? '';
  if (/^[0-9A-Z]{5}$/.test(code)) return code;
  return sqlStateOf((error as { cause?: unknown }).cause, depth + 1);
}

/** True when a constraint of that name refused the write. */
export function violates(error: unknown, constraint: string, depth = 0): boolean {
  if (typeof error !== 'object' || error === null || depth > 5) return false;
  return (
    textProperty(error, 'constraint') === constraint ||
    violates((error as { cause?: unknown }).cause, constraint, depth + 1)
  );
}

/** PostgreSQL classes 08 (connection) and 57P (shutdown), or a socket that is not there; Drizzle wraps them as cause. */
function isDatabaseAway(error: unknown, depth = 0): boolean {
  if (typeof error !== 'object' || error === null || depth > 5) return false;
  const code = textProperty(error, 'code') ?? '';
  if (/^(08|57P|53)/.test(code) || socketErrors.has(code)) return true;
  if (
    /Connection terminated|Query read timeout|timeout exceeded when trying to connect|connection error/i.test(
      textProperty(error, 'message') ?? '',
    )
  )
    return true;
  const { cause, errors } = error as { cause?: unknown; errors?: unknown };
  return (
    isDatabaseAway(cause, depth + 1) ||
    (Array.isArray(errors) && errors.some((inner) => isDatabaseAway(inner, depth + 1)))
  );
}

const socketErrors = new Set(['ECONNREFUSED', 'ENETUNREACH', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND']);

function numberProperty(value: unknown, key: string): number | undefined {
  if (typeof value !== 'object' || value === null || !(key in value)) return undefined;
  const found = (value as Record<string, unknown>)[key];
  return typeof found === 'number' ? found : undefined;
}

function textProperty(value: unknown, key: string): string | undefined {
  if (typeof value !== 'object' || value === null || !(key in value)) return undefined;
  const found = (value as Record<string, unknown>)[key];
  return typeof found === 'string' ? found : undefined;
}
