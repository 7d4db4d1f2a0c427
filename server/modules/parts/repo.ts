import type { Part } from '@fox-tempo/contract';
import { asc, eq } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { parts } from '../../db/schema/index.ts';

export async function listParts(db: Executor): Promise<Part[]> {
  return db.select({ id: parts.id, name: parts.name, about: parts.about }).from(parts).orderBy(asc(parts.name));
}

export async function findPart(db: Executor, id: string): Promise<Part | undefined> {
  const [row] = await db
    .select({ id: parts.id, name: parts.name, about: parts.about })
    .from(parts)
    .where(eq(parts.id, id));
  return row;
}
