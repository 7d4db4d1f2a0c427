import type { Page, Person, Role, WrongTries } from '@fox-tempo/contract';
import { and, asc, eq, gt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { people } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { untoldTries } from '../session/index.ts';

/** `tellsTries`: with the wrong PINs tried for each, which are an owner's to know. */
export async function listPeople(
  db: Executor,
  { limit, after }: PageRequest,
  tellsTries: boolean,
): Promise<Page<Person>> {
  const tries = tellsTries ? await untoldTries(db) : new Map<string, WrongTries>();
  const rows = await db
    .select()
    .from(people)
    .where(after && or(gt(people.name, after[0]), and(eq(people.name, after[0]), gt(people.id, after[1]))))
    .orderBy(asc(people.name), asc(people.id))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.name, row.id],
    (row) => ({ ...toPerson(row), wrongTries: tries.get(row.id) ?? null }),
  );
}

export async function personName(db: Executor, id: string): Promise<string> {
  const [row] = await db.select({ name: people.name }).from(people).where(eq(people.id, id));
  return row?.name ?? id;
}

/** The person with the row locked until the transaction ends. */
export async function lockPerson(db: Executor, id: string): Promise<Person | undefined> {
  const [row] = await db.select().from(people).where(eq(people.id, id)).for('update');
  return row && toPerson(row);
}

export async function findPerson(db: Executor, id: string): Promise<Person | undefined> {
  const [row] = await db.select().from(people).where(eq(people.id, id));
  return row && toPerson(row);
}

export async function insertPerson(
  db: Executor,
  row: { readonly id: string; readonly name: string; readonly role: Role; readonly pinHash: string },
): Promise<void> {
  await db.insert(people).values(row);
}

export async function updatePerson(
  db: Executor,
  id: string,
  change: { readonly name?: string; readonly role?: Role; readonly retired?: boolean; readonly pinHash?: string },
): Promise<void> {
  await db
    .update(people)
    .set({ ...change, version: sql`${people.version} + 1` })
    .where(eq(people.id, id));
}

/** Owners who could sign in, their rows locked so that two cannot leave at once. */
export async function lockOwners(db: Executor): Promise<string[]> {
  const rows = await db
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.role, 'owner'), eq(people.retired, false), sql`${people.pinHash} is not null`))
    .orderBy(asc(people.id))
    .for('update');
  return rows.map((row) => row.id);
}

function toPerson({ id, name, role, version, retired, pinHash, language, units }: typeof people.$inferSelect): Person {
  const reads = { language, units: units as Person['units'] };
  return { id, name, role: role as Role, version, retired, hasPin: pinHash !== null, wrongTries: null, ...reads };
}
