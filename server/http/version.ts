/** Optimistic versions on the wire: ETag out, If-Match in. */
import type { Request, Response } from 'express';
import { HttpProblem } from './problem.ts';

export function sendVersioned(response: Response, resource: { readonly version: number }): void {
  response.set('ETag', `"${resource.version}"`).json(resource);
}

/** The version a write was based on; 428 when it does not say. */
export function basedOn(request: Request): number {
  const header = request.get('if-match');
  const version = /^(?:W\/)?"(\d{1,9})"$/.exec(header ?? '')?.[1];
  if (version === undefined) {
    throw new HttpProblem(
      'version-missing',
      'Send If-Match with the ETag of the version you edited, for instance "3".',
    );
  }
  return Number(version);
}
