/** Signing in and out, and making the first owner. A try is counted before the PIN is looked at, so that many at once gain nothing. */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Role, SessionState } from '@fox-tempo/contract';
import { and, asc, eq, isNull, lt, or, sql } from 'drizzle-orm';
import type { Request } from 'express';
import type { Database, Executor } from '../../db/connection.ts';
import { people, sessions, shop } from '../../db/schema/index.ts';
import { HttpProblem } from '../../http/problem.ts';
import { readShop } from '../shop/repo.ts';
import { hashPin, pinFits, waitAfter, waitUntilSql } from './pin.ts';
import { personOf } from './who.ts';

export async function sessionState(db: Executor, request: Request): Promise<SessionState> {
  const { name, timeZone, demo } = await readShop(db);
  const rows = await db.select().from(people).where(eq(people.retired, false)).orderBy(asc(people.name));
  return {
    me: await personOf(db, request),
    shop: { name, timeZone, demo },
    needsOwner: !(await hasOwner(db)),
    people: rows.map(({ id, name: personName, role, pinHash }) => ({
      id,
      name: personName,
      role: role as Role,
      hasPin: pinHash !== null,
    })),
  };
}

/** An owner who could sign in. */
export async function hasOwner(db: Executor): Promise<boolean> {
  const [row] = await db
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.role, 'owner'), eq(people.retired, false), sql`${people.pinHash} is not null`))
    .limit(1);
  return row !== undefined;
}

export async function signIn(db: Database, request: Request, personId: string, pin: string): Promise<void> {
  const [counted] = await db
    .update(people)
    .set({ failedTries: sql`${people.failedTries} + 1`, waitUntil: waitUntilSql(people.failedTries) })
    .where(
      and(
        eq(people.id, personId),
        eq(people.retired, false),
        or(isNull(people.waitUntil), lt(people.waitUntil, sql`now()`)),
      ),
    )
    .returning({ tries: people.failedTries, pinHash: people.pinHash });
  if (!counted) {
    const [row] = await db
      .select({ waitS: sql<number>`ceil(extract(epoch from ${people.waitUntil} - now()))::int` })
      .from(people)
      .where(eq(people.id, personId));
    if (row && row.waitS > 0) throw tooSoon(row.waitS);
    throw wrongPin();
  }
  const waitS = waitAfter(counted.tries);
  if (counted.pinHash === null || !(await pinFits(counted.pinHash, pin))) throw wrongPin(waitS);
  await db.update(people).set({ failedTries: 0, waitUntil: null }).where(eq(people.id, personId));
  await begin(request, personId);
}

/** In as anybody, on the demo shop alone. */
export async function demoSignIn(db: Executor, request: Request, personId: string): Promise<void> {
  const { demo } = await readShop(db);
  if (!demo) throw new HttpProblem('not-allowed', 'Only the demo shop lets visitors in without a PIN.');
  const [row] = await db
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.id, personId), eq(people.retired, false)));
  if (!row) throw new HttpProblem('not-found', `There is nobody "${personId}" here.`);
  await begin(request, personId);
}

/** The first owner, by the one-time code that the start printed. */
export async function makeOwner(
  db: Database,
  request: Request,
  { code, name, pin }: { code: string; name: string; pin: string },
): Promise<void> {
  const personId = `person-${randomUUID().slice(0, 8)}`;
  const pinHash = await hashPin(pin);
  const outcome = await db.transaction(async (tx) => {
    const [row] = await tx.select().from(shop).for('update');
    if (!row || row.ownerCodeHash === null || (await hasOwner(tx))) return 'has-owner' as const;
    if (row.codeWaitUntil !== null && Date.parse(row.codeWaitUntil) > Date.now())
      return Math.ceil((Date.parse(row.codeWaitUntil) - Date.now()) / 1000);
    if (row.ownerCodeHash !== hashCode(code)) {
      const failures = row.codeFailures + 1;
      const waitS = waitAfter(failures);
      await tx.update(shop).set({
        codeFailures: failures,
        codeWaitUntil: waitS > 0 ? sql`now() + make_interval(secs => ${waitS})` : null,
      });
      return 'wrong' as const;
    }
    await tx.insert(people).values({ id: personId, name, role: 'owner', pinHash });
    await tx.update(shop).set({ ownerCodeHash: null, codeFailures: 0, codeWaitUntil: null });
    return 'made' as const;
  });
  if (outcome === 'has-owner')
    throw new HttpProblem('not-allowed', 'This shop has an owner; ask that person to add you.');
  if (outcome === 'wrong') throw new HttpProblem('wrong-pin', 'That is not the code that the start printed.');
  if (typeof outcome === 'number') throw tooSoon(outcome);
  await begin(request, personId);
}

/** A new one-time code where nobody could sign in as owner, in letters that are not mistaken for one another; its hash is kept. */
export async function renewOwnerCode(db: Database): Promise<string | undefined> {
  return db.transaction(async (tx) => {
    await tx.select({ id: shop.id }).from(shop).for('update');
    if (await hasOwner(tx)) return undefined;
    const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
    const code = [...randomBytes(12)]
      .map((byte) => letters[byte % letters.length] ?? '')
      .join('')
      .replace(/(.{4})(?=.)/g, '$1-');
    await tx.update(shop).set({ ownerCodeHash: hashCode(code) });
    return code;
  });
}

/** The code has 60 bits of chance; a plain hash of it gives nothing away. */
function hashCode(code: string): string {
  return createHash('sha256').update(code.trim().toUpperCase()).digest('hex');
}

/** A fresh session id at each sign-in: one that somebody planted before is worth nothing. */
function begin(request: Request, personId: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) return reject(asError(error));
      request.session.personId = personId;
      request.session.save((failed: unknown) => (failed ? reject(asError(failed)) : resolve()));
    });
  });
}

export function signOut(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => (error ? reject(asError(error)) : resolve()));
  });
}

/** Ends every session of a person: after a new PIN, a new role, or leaving. */
export async function endSessionsOf(db: Executor, personId: string): Promise<void> {
  await db.delete(sessions).where(sql`${sessions.sess}->>'personId' = ${personId}`);
}

function asError(value: unknown): Error {
  return value instanceof Error ? value : new Error(String(value));
}

function wrongPin(waitS = 0): HttpProblem {
  return new HttpProblem(
    'wrong-pin',
    waitS > 0 ? `That PIN does not fit. The next try has to wait ${waitS} s.` : 'That PIN does not fit.',
    waitS > 0 ? { waitS } : {},
  );
}

function tooSoon(waitS: number): HttpProblem {
  return new HttpProblem('too-many', `Too many wrong tries; the next one has to wait ${waitS} s.`, { waitS });
}
