/** Who is signed in, as the database knows the person now: a role taken away or a person retired counts from the next request on. */
import type { Role } from '@fox-tempo/contract';
import { and, eq } from 'drizzle-orm';
import type { Request } from 'express';
import type { Executor } from '../../db/connection.ts';
import { people } from '../../db/schema/index.ts';

export interface SignedIn {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

declare module 'express-session' {
  interface SessionData {
    personId: string;
    /** As the database had the person when the session was read for this request; never written. */
    me?: SignedIn;
  }
}

export async function personOf(db: Executor, request: Request): Promise<SignedIn | null> {
  const { personId: id, me } = request.session ?? {};
  if (id === undefined) return null;
  if (me?.id === id) return me;
  const [row] = await db
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(and(eq(people.id, id), eq(people.retired, false)));
  return row ? { ...row, role: row.role as Role } : null;
}
