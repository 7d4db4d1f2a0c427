/**
 * A record keeps its author, whoever is signed in when it arrives. Each session comes with a ticket: the person's id and the last moment it
 * holds, signed by the server. A device keeps it with what was recorded and shows it when it sends.
 */
import { authorHeader, hoursAfterSession, madeAtHeader } from '@fox-tempo/contract';
import { message } from '@fox-tempo/words';
import { createHmac, timingSafeEqual } from 'node:crypto';
import type { Request } from 'express';
import type { Executor } from '../db/connection.ts';
import type { Author } from '../modules/observations/author.ts';
import { findHere } from '../modules/session/repo.ts';
import type { SignedIn } from '../modules/session/who.ts';
import { HttpProblem } from './problem.ts';

export interface Tickets {
  /** For a session that ends at a moment, ms. */
  issue(personId: string, sessionEndsAt: number): string;
  /** The person; undefined where it is not ours or too old. */
  read(ticket: string, now?: number): string | undefined;
}

export function createTickets(secret: string): Tickets {
  const sign = (text: string) => createHmac('sha256', `author of a record, ${secret}`).update(text).digest('base64url');
  return {
    issue(personId, sessionEndsAt) {
      const text = `${personId}.${Math.round(sessionEndsAt + hoursAfterSession * 3_600_000)}`;
      return `${text}.${sign(text)}`;
    },
    read(ticket, now = Date.now()) {
      const end = ticket.lastIndexOf('.');
      const text = ticket.slice(0, Math.max(end, 0));
      const given = Buffer.from(ticket.slice(end + 1));
      const wanted = Buffer.from(sign(text));
      if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) return undefined;
      const cut = text.lastIndexOf('.');
      return Number(text.slice(cut + 1)) >= now ? text.slice(0, cut) : undefined;
    },
  };
}

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
