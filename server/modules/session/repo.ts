/** People as sign-in needs them: tries, waits, sessions, and whether there is an owner. */
import type { Preferences, Role, SessionState } from '@fox-tempo/contract';
import { and, asc, eq, isNull, lt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { people, sessions, shop } from '../../db/schema/index.ts';
import { firstWaitS, freeTries, longestWaitS } from './pin.ts';

export type Here = SessionState['people'][number];

export async function preferencesOf(db: Executor, id: string): Promise<Preferences> {
  const [row] = await db
    .select({ language: people.language, units: people.units, theme: people.theme, hand: people.hand })
    .from(people)
    .where(eq(people.id, id));
  return (row ?? { language: null, units: null, theme: null, hand: null }) as Preferences;
}

/** One's own; the record of the person, which others change, keeps its version. */
export async function setPreferences(db: Executor, id: string, preferences: Preferences): Promise<void> {
  await db.update(people).set(preferences).where(eq(people.id, id));
}

/** Everybody who has not left, by name. */
export async function peopleHere(db: Executor): Promise<Here[]> {
  const rows = await db.select().from(people).where(eq(people.retired, false)).orderBy(asc(people.name));
  return rows.map(({ id, name, role, pinHash, language, units }) => ({
    id,
    name,
    role: role as Role,
    hasPin: pinHash !== null,
    language,
    units: units as Here['units'],
  }));
}

export async function findHere(db: Executor, id: string): Promise<Pick<Here, 'id' | 'name' | 'role'> | undefined> {
  const [row] = await db
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(and(eq(people.id, id), eq(people.retired, false)));
  return row && { ...row, role: row.role as Role };
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

/**
 * Counts a try and sets the wait that follows it in one statement, so that many at once are counted one by one; undefined when the person
 * has to wait still, or is not here.
 */
export async function countTry(
  db: Executor,
  id: string,
): Promise<{ tries: number; pinHash: string | null } | undefined> {
  const waitUntil = sql`case when ${people.failedTries} + 1 < ${freeTries} then null
    else now() + make_interval(secs => least(${firstWaitS} * power(2, ${people.failedTries} + 1 - ${freeTries}), ${longestWaitS})) end`;
  const [counted] = await db
    .update(people)
    .set({ failedTries: sql`${people.failedTries} + 1`, waitUntil })
    .where(
      and(eq(people.id, id), eq(people.retired, false), or(isNull(people.waitUntil), lt(people.waitUntil, sql`now()`))),
    )
    .returning({ tries: people.failedTries, pinHash: people.pinHash });
  return counted;
}

/** Seconds until the next try; 0 where none has to wait. */
export async function waitLeftS(db: Executor, id: string): Promise<number> {
  const [row] = await db
    .select({ waitS: sql<number | null>`ceil(extract(epoch from ${people.waitUntil} - now()))::int` })
    .from(people)
    .where(eq(people.id, id));
  return Math.max(row?.waitS ?? 0, 0);
}

export async function forgetTries(db: Executor, id: string): Promise<void> {
  await db.update(people).set({ failedTries: 0, waitUntil: null }).where(eq(people.id, id));
}

export async function setPin(db: Executor, id: string, pinHash: string): Promise<void> {
  await db.update(people).set({ pinHash }).where(eq(people.id, id));
}

export async function insertOwner(
  db: Executor,
  row: { readonly id: string; readonly name: string; readonly pinHash: string },
): Promise<void> {
  await db.insert(people).values({ ...row, role: 'owner' });
  await db.update(shop).set({ ownerCodeHash: null, codeFailures: 0, codeWaitUntil: null });
}

/** The one-time code's hash and waits, locked until the transaction ends. */
export async function lockOwnerCode(db: Executor) {
  const [row] = await db
    .select({ hash: shop.ownerCodeHash, failures: shop.codeFailures, waitUntil: shop.codeWaitUntil })
    .from(shop)
    .for('update');
  return row;
}

export async function setOwnerCode(db: Executor, hash: string): Promise<void> {
  await db.update(shop).set({ ownerCodeHash: hash });
}

export async function countWrongCode(db: Executor, failures: number, waitS: number): Promise<void> {
  await db
    .update(shop)
    .set({ codeFailures: failures, codeWaitUntil: waitS > 0 ? sql`now() + make_interval(secs => ${waitS})` : null });
}

/** Ends every session of a person: after a new PIN, a new role, or leaving. */
export async function endSessionsOf(db: Executor, personId: string): Promise<void> {
  await db.delete(sessions).where(sql`${sessions.sess}->>'personId' = ${personId}`);
}
