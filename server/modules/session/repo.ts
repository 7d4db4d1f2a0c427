/** People as sign-in needs them: tries, waits, sessions, and whether there is an owner. */
import type { Preferences, Role, SessionState, WrongTries } from '@fox-tempo/contract';
import { and, asc, eq, gt, isNull, lt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { devices, people, pinTries, sessions, shop } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';
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

/** A wrong or right try at somebody's PIN, in one place. */
export interface Try {
  readonly personId: string;
  readonly place: string;
}

/**
 * Counts a try and sets the wait that follows it in one statement, so that many at once are counted one by one; undefined when it has to
 * wait still.
 */
export async function countTry(db: Executor, { personId, place }: Try): Promise<number | undefined> {
  const now = sql`${pinTries.tries} + 1`;
  const waitUntil = sql`case when ${now} < ${freeTries} then null
    else now() + make_interval(secs => least(${firstWaitS} * power(2, ${now} - ${freeTries}), ${longestWaitS})) end`;
  const [counted] = await db
    .insert(pinTries)
    .values({ personId, place, tries: 1, untold: 1 })
    .onConflictDoUpdate({
      target: [pinTries.personId, pinTries.place],
      set: { tries: now, waitUntil, untold: sql`${pinTries.untold} + 1`, lastAt: sql`now()` },
      setWhere: or(isNull(pinTries.waitUntil), lt(pinTries.waitUntil, sql`now()`)) ?? sql`true`,
    })
    .returning({ tries: pinTries.tries });
  return counted?.tries;
}

/** Seconds until the next try; 0 where none has to wait. */
export async function waitLeftS(db: Executor, { personId, place }: Try): Promise<number> {
  const [row] = await db
    .select({ waitS: sql<number | null>`ceil(extract(epoch from ${pinTries.waitUntil} - now()))::int` })
    .from(pinTries)
    .where(and(eq(pinTries.personId, personId), eq(pinTries.place, place)));
  return Math.max(row?.waitS ?? 0, 0);
}

/** After a right PIN: what was counted here counts no more, and this very try was none. */
export async function forgetTries(db: Executor, { personId, place }: Try): Promise<void> {
  await db
    .update(pinTries)
    .set({ tries: 0, waitUntil: null, untold: sql`greatest(${pinTries.untold} - 1, 0)` })
    .where(and(eq(pinTries.personId, personId), eq(pinTries.place, place)));
}

/** After a new PIN no place waits any more. */
export async function forgetAllTries(db: Executor, personId: string): Promise<void> {
  await db.update(pinTries).set({ tries: 0, waitUntil: null }).where(eq(pinTries.personId, personId));
}

/** Wrong tries that each person was not told of yet; of one, or of everybody. */
export async function untoldTries(db: Executor, personId?: string): Promise<Map<string, WrongTries>> {
  const rows = await db
    .select({
      personId: pinTries.personId,
      count: sql<number>`sum(${pinTries.untold})::int`,
      lastAt: sql<string>`max(${pinTries.lastAt}) filter (where ${pinTries.untold} > 0)`,
    })
    .from(pinTries)
    .where(personId === undefined ? undefined : eq(pinTries.personId, personId))
    .groupBy(pinTries.personId)
    .having(sql`sum(${pinTries.untold}) > 0`);
  return new Map(rows.map(({ personId: id, count, lastAt }) => [id, { count, lastAt: isoTime(lastAt) }]));
}

export async function markTold(db: Executor, personId: string): Promise<void> {
  await db.update(pinTries).set({ untold: 0 }).where(eq(pinTries.personId, personId));
}

/** Rows of names that were tried long ago. */
export async function forgetOldTries(db: Executor): Promise<void> {
  await db.delete(pinTries).where(lt(pinTries.lastAt, sql`now() - interval '90 days'`));
}

export async function isKnownDevice(db: Executor, id: string): Promise<boolean> {
  return (await db.select({ id: devices.id }).from(devices).where(eq(devices.id, id))).length > 0;
}

export async function keepDevice(db: Executor, id: string): Promise<void> {
  await db.insert(devices).values({ id }).onConflictDoNothing();
}

/** Null where nobody of that id is here, or has no PIN. */
export async function pinHashOf(db: Executor, id: string): Promise<string | null> {
  const [row] = await db
    .select({ pinHash: people.pinHash })
    .from(people)
    .where(and(eq(people.id, id), eq(people.retired, false)));
  return row?.pinHash ?? null;
}

interface KeptSession {
  readonly startedAt?: number;
  readonly device?: string;
}

/** Sessions of a person that still hold, the newest first. */
export async function sessionsOf(db: Executor, personId: string) {
  const rows = await db
    .select({ sid: sessions.sid, sess: sessions.sess, expire: sessions.expire })
    .from(sessions)
    .where(and(sql`${sessions.sess}->>'personId' = ${personId}`, gt(sessions.expire, sql`now()`)));
  return rows
    .map(({ sid, sess, expire }) => ({ sid, ...(sess as KeptSession), endsAt: isoTime(expire) }))
    .sort((a, b) => (b.startedAt ?? 0) - (a.startedAt ?? 0));
}

export async function endSession(db: Executor, sid: string): Promise<void> {
  await db.delete(sessions).where(eq(sessions.sid, sid));
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
