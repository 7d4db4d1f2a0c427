/** Refusals as exceptions on the way out, RFC 9457 problem documents on the wire. */
import { problems, problemType, type Problem, type ProblemKind } from '@fox-tempo/contract';
import type { Issue, Outcome } from '@fox-tempo/core';
import type { ErrorRequestHandler, RequestHandler } from 'express';

export class HttpProblem extends Error {
  readonly body: Problem;
  constructor(kind: ProblemKind, detail: string, extra: Partial<Problem> = {}) {
    super(detail);
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
  return new HttpProblem('invalid-input', issues[0]?.message ?? 'The input was refused.', { issues: [...issues] });
}

export const notFound: RequestHandler = (request) => {
  throw new HttpProblem('not-found', `There is no ${request.method} ${request.originalUrl.slice(0, 200)}.`);
};

export const sendProblem: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const problem = toProblem(error);
  if (problem.body.status === 500) console.error(error);
  response.status(problem.body.status).type('application/problem+json').send(JSON.stringify(problem.body));
};

function toProblem(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  const type = textProperty(error, 'type');
  if (type === 'entity.parse.failed') return new HttpProblem('malformed-json', 'The body could not be read as JSON.');
  if (type === 'entity.too.large')
    return new HttpProblem('too-large', 'The body is larger than this address takes (256 kB; 1 MB for machines).');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') {
    return new HttpProblem('unsupported-type', 'Only UTF-8 JSON is read.');
  }
  if (error instanceof URIError || numberProperty(error, 'status') === 404)
    return new HttpProblem('not-found', 'There is nothing at this address.');
  if (isDatabaseAway(error)) {
    return new HttpProblem(
      'database-away',
      'Nothing was saved. Keep this page open; saving works again when the database is back.',
    );
  }
  return new HttpProblem('internal', 'Nothing was saved. The cause stands in the server log.');
}

/** PostgreSQL classes 08 (connection) and 57P (shutdown), or a socket that is not there; Drizzle wraps them as cause. */
function isDatabaseAway(error: unknown, depth = 0): boolean {
  if (typeof error !== 'object' || error === null || depth > 5) return false;
  const code = textProperty(error, 'code') ?? '';
  if (/^(08|57P)/.test(code) || socketErrors.has(code)) return true;
  if (
    /Connection terminated|timeout exceeded when trying to connect|connection error/i.test(
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

const socketErrors = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND']);

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
