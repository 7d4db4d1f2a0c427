import type { Page, Part, PartCreate, PartSave } from '@fox-tempo/contract';
import { and, asc, eq, gt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { parts } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';

const columns = { id: parts.id, name: parts.name, about: parts.about, version: parts.version, retired: parts.retired };

export async function listParts(db: Executor, { limit, after }: PageRequest): Promise<Page<Part>> {
  const rows = await db
    .select(columns)
    .from(parts)
    .where(after && or(gt(parts.name, after[0]), and(eq(parts.name, after[0]), gt(parts.id, after[1]))))
    .orderBy(asc(parts.name), asc(parts.id))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.name, row.id],
    (row) => row,
  );
}

export async function findPart(db: Executor, id: string): Promise<Part | undefined> {
  const [row] = await db.select(columns).from(parts).where(eq(parts.id, id));
  return row;
}

export async function findPartByName(db: Executor, name: string): Promise<Part | undefined> {
  const [row] = await db.select(columns).from(parts).where(eq(parts.name, name)).limit(1);
  return row;
}

export async function insertPart(db: Executor, id: string, part: PartCreate, by: string): Promise<void> {
  await db.insert(parts).values({ id, ...part, createdBy: by, changedBy: by });
}

/** False when the version is not the stored one. */
export async function updatePart(
  db: Executor,
  id: string,
  version: number,
  save: PartSave,
  by: string,
): Promise<boolean> {
  const rows = await db
    .update(parts)
    .set({ ...save, version: sql`${parts.version} + 1`, changedAt: sql`now()`, changedBy: by })
    .where(and(eq(parts.id, id), eq(parts.version, version)))
    .returning({ id: parts.id });
  return rows.length > 0;
}
