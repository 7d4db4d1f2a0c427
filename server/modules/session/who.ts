/** Who is signed in, as the database knows the person now: a role taken away or a person retired counts from the next request on. */
import type { Role, WrongTries } from '@fox-tempo/contract';
import type { Request } from 'express';
import type { Executor } from '../../db/connection.ts';
import { findHere } from './repo.ts';

export interface SignedIn {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

declare module 'express-session' {
  interface SessionData {
    personId: string;
    /** When it began, ms, and what the device calls itself. */
    startedAt?: number;
    device?: string;
    /** What others had tried before it began. */
    wrongTries?: WrongTries | null;
    /** As the database had the person when the session was read for this request; never written. */
    me?: SignedIn;
  }
}

export async function personOf(db: Executor, request: Request): Promise<SignedIn | null> {
  const kept = request.session as Request['session'] | undefined;
  const id = kept?.personId;
  if (id === undefined) return null;
  return kept?.me?.id === id ? kept.me : ((await findHere(db, id)) ?? null);
}
