import type { Person } from '@fox-tempo/contract';
import { asc, eq } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { people } from '../../db/schema/index.ts';

export async function listPeople(db: Executor): Promise<Person[]> {
  return db.select().from(people).orderBy(asc(people.name));
}

export async function personName(db: Executor, id: string): Promise<string> {
  const [row] = await db.select({ name: people.name }).from(people).where(eq(people.id, id));
  return row?.name ?? id;
}

export async function personExists(db: Executor, id: string): Promise<boolean> {
  return (await db.select({ id: people.id }).from(people).where(eq(people.id, id))).length > 0;
}
