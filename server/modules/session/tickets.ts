/** Tickets: a person's id and the last moment it holds, signed by the server. */
import { hoursAfterSession } from '@fox-tempo/contract';
import { createHmac, timingSafeEqual } from 'node:crypto';

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
