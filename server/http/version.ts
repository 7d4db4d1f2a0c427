/** Optimistic versions on the wire: ETag out, If-Match in. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import type { Request } from 'express';
import { HttpProblem } from './problem.ts';

/** The version a write was based on; 428 when it does not say. */
export function basedOn(request: Request): number {
  const header = request.get('if-match');
  const version = /^(?:W\/)?"(\d{1,9})"$/.exec(header ?? '')?.[1];
  if (version === undefined) {
    throw new HttpProblem('version-missing', message('server.http.hint.if-match'));
  }
  return Number(version);
}

/** A write that was based on an older version: both states, so that nothing is lost. */
export function staleVersion(current: unknown, yours: unknown, detail: Phrase): HttpProblem {
  return new HttpProblem('stale-version', detail, { current, yours });
}

/** Refuses a write to something with a history that somebody has changed since it was seen. */
export function refuseStale(
  stored: { readonly changedBy: string; readonly version: number },
  version: number | undefined,
  basedOn: number,
  yours: unknown,
): void {
  if (version === basedOn) return;
  throw staleVersion(
    stored,
    yours,
    message('server.machines.error.version-conflict', {
      changedBy: stored.changedBy,
      version: stored.version,
      basedOn,
    }),
  );
}
