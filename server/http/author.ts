/** Who writes. There is no sign-in yet: the person chosen in the interface is named in a header and must be one of the shop's people. */
import type { RequestHandler, Request } from 'express';
import type { Executor } from '../db/connection.ts';
import { personExists } from '../modules/people/repo.ts';
import { HttpProblem } from './problem.ts';

const header = 'x-fox-person';

export function requireAuthor(db: Executor): RequestHandler {
  return async (request, _response, next) => {
    const id = request.get(header);
    if (id === undefined || !(await personExists(db, id))) {
      throw new HttpProblem(
        'unknown-person',
        `Say who writes in the header ${header}; it must be one of the shop's people.`,
      );
    }
    next();
  };
}

/** The author that `requireAuthor` let through. */
export function authorOf(request: Request): string {
  return request.get(header) ?? '';
}
