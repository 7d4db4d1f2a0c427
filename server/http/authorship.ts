/**
 * A record keeps its author, whoever is signed in when it arrives. Each session comes with a ticket; a device keeps it with what was recorded
 * and shows it when it sends.
 */
import { authorHeader, madeAtHeader } from '@fox-tempo/contract';
import { message } from '@fox-tempo/words';
import type { Request } from 'express';
import type { Executor } from '../db/connection.ts';
import type { Author } from '../modules/observations/index.ts';
import { findHere, type SignedIn, type Tickets } from '../modules/session/index.ts';
import { HttpProblem } from './problem.ts';

/** Who made what comes, where it may come late; `me` is whoever is signed in. */
export async function authorOf(
  db: Executor,
  request: Request,
  tickets: Tickets,
  me: SignedIn,
): Promise<{ readonly me: SignedIn; readonly by: Author }> {
  const deviceAt = madeAt(request);
  const ticket = request.get(authorHeader);
  if (ticket === undefined) return { me, by: { id: me.id, sentBy: null, deviceAt } };
  const personId = tickets.read(ticket);
  if (personId === me.id) return { me, by: { id: me.id, sentBy: null, deviceAt } };
  const author = personId === undefined ? undefined : await findHere(db, personId);
  if (!author) throw new HttpProblem('author-unknown', message('server.http.error.authors-session-ended'));
  return { me: author, by: { id: author.id, sentBy: me.id, deviceAt } };
}

function madeAt(request: Request): string | null {
  const said = request.get(madeAtHeader);
  if (said === undefined) return null;
  const moment = Date.parse(said);
  if (Number.isNaN(moment)) throw new HttpProblem('malformed-request', message('server.http.error.made-at'));
  return new Date(moment).toISOString();
}
