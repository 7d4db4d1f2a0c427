/** Cylinders, spools and what came to and left them; a level is always the sum of its movements. */
import type { Cylinder, Spool } from '@fox-tempo/contract';
import type { FillerCode } from '@fox-tempo/core/metal/consumables';
import { cylinderLevel, spoolLevel } from '@fox-tempo/core/day/consumption';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { cylinders, observations, orderCounts, people, spools, stockMovements } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

/** Millilitres or milligrams in a cylinder. */
const cylinderSum = sql<string>`coalesce((select sum(m.amount) from stock_movements m where m.cylinder_id = "cylinders"."id"), 0)`;
const spoolSum = sql<string>`coalesce((select sum(m.amount) from stock_movements m where m.spool_id = "spools"."id"), 0)`;

export async function listCylinders(db: Executor): Promise<(Cylinder & { readonly content: number })[]> {
  const rows = await db
    .select({ row: cylinders, by: people.name, content: cylinderSum })
    .from(cylinders)
    .innerJoin(people, eq(people.id, cylinders.changedBy))
    .where(eq(cylinders.retired, false))
    .orderBy(asc(cylinders.name), asc(cylinders.id));
  return rows.map(({ row, by, content }) => {
    const level = cylinderLevel(row, Number(content));
    return {
      id: row.id,
      version: row.version,
      name: row.name,
      gas: row.gas,
      volumeL: row.volumeL,
      pressureBar: level.pressureBar ?? row.gaugeBar,
      massKg: level.massKg,
      convention: row.convention as Cylinder['convention'],
      machineId: row.machineId,
      retired: row.retired,
      changedAt: isoTime(row.changedAt),
      changedBy: by,
      content: Number(content),
    };
  });
}

export async function listSpools(db: Executor): Promise<(Spool & { readonly content: number })[]> {
  const rows = await db
    .select({ row: spools, by: people.name, content: spoolSum })
    .from(spools)
    .innerJoin(people, eq(people.id, spools.changedBy))
    .where(eq(spools.retired, false))
    .orderBy(asc(spools.name), asc(spools.id));
  return rows.map(({ row, by, content }) => ({
    id: row.id,
    version: row.version,
    name: row.name,
    filler: row.filler as FillerCode,
    diameterMm: row.diameterMm,
    massKg: spoolLevel(Number(content)),
    machineId: row.machineId,
    retired: row.retired,
    changedAt: isoTime(row.changedAt),
    changedBy: by,
    content: Number(content),
  }));
}

type CylinderRow = Omit<
  typeof cylinders.$inferInsert,
  'id' | 'version' | 'createdAt' | 'createdBy' | 'changedAt' | 'changedBy'
>;
type SpoolRow = Omit<
  typeof spools.$inferInsert,
  'id' | 'version' | 'createdAt' | 'createdBy' | 'changedAt' | 'changedBy'
>;

export async function insertCylinder(db: Executor, id: string, row: CylinderRow, by: string): Promise<void> {
  await db.insert(cylinders).values({ id, ...row, createdBy: by, changedBy: by });
}

export async function insertSpool(db: Executor, id: string, row: SpoolRow, by: string): Promise<void> {
  await db.insert(spools).values({ id, ...row, createdBy: by, changedBy: by });
}

const changed = (by: string) => ({ changedAt: sql`now()`, changedBy: by });

export async function updateCylinder(db: Executor, id: string, row: Partial<CylinderRow>, by: string): Promise<void> {
  await db
    .update(cylinders)
    .set({ ...row, version: sql`${cylinders.version} + 1`, ...changed(by) })
    .where(eq(cylinders.id, id));
}

export async function updateSpool(db: Executor, id: string, row: Partial<SpoolRow>, by: string): Promise<void> {
  await db
    .update(spools)
    .set({ ...row, version: sql`${spools.version} + 1`, ...changed(by) })
    .where(eq(spools.id, id));
}

/** Version and content with the row locked until the transaction ends. */
export async function lockCylinder(
  db: Executor,
  id: string,
): Promise<{ version: number; content: number } | undefined> {
  const [row] = await db
    .select({ version: cylinders.version })
    .from(cylinders)
    .where(eq(cylinders.id, id))
    .for('update');
  if (!row) return undefined;
  // Summed after the lock was given: a movement that was waited for counts.
  const [sum] = await db.select({ content: cylinderSum }).from(cylinders).where(eq(cylinders.id, id));
  return { version: row.version, content: Number(sum?.content) };
}

export async function lockSpool(db: Executor, id: string): Promise<{ version: number; content: number } | undefined> {
  const [row] = await db.select({ version: spools.version }).from(spools).where(eq(spools.id, id)).for('update');
  if (!row) return undefined;
  const [sum] = await db.select({ content: spoolSum }).from(spools).where(eq(spools.id, id));
  return { version: row.version, content: Number(sum?.content) };
}

export interface Movement {
  readonly cylinderId?: string;
  readonly spoolId?: string;
  /** mL or mg; negative leaves. */
  readonly amount: number;
}

export async function addMovements(db: Executor, observationId: string, movements: readonly Movement[]): Promise<void> {
  if (movements.length > 0)
    await db.insert(stockMovements).values(movements.map((movement) => ({ observationId, ...movement })));
}

/** Waits for whoever else counts these down; always in the order of their ids. */
export async function lockItems(
  db: Executor,
  cylinderIds: readonly string[],
  spoolIds: readonly string[],
): Promise<void> {
  if (cylinderIds.length > 0)
    await db
      .select({ id: cylinders.id })
      .from(cylinders)
      .where(and(inArray(cylinders.id, [...cylinderIds])))
      .orderBy(asc(cylinders.id))
      .for('update');
  if (spoolIds.length > 0)
    await db
      .select({ id: spools.id })
      .from(spools)
      .where(and(inArray(spools.id, [...spoolIds])))
      .orderBy(asc(spools.id))
      .for('update');
}

/** Every count of an order, the oldest first, with each movement it made and the item as it is now. */
export async function countsOfOrder(db: Executor, orderId: string) {
  return db
    .select({
      id: orderCounts.id,
      count: orderCounts.count,
      body: observations.body,
      movement: stockMovements,
      cylinder: cylinders,
      spool: spools,
    })
    .from(orderCounts)
    .innerJoin(observations, eq(observations.id, orderCounts.observationId))
    .leftJoin(stockMovements, eq(stockMovements.observationId, orderCounts.observationId))
    .leftJoin(cylinders, eq(cylinders.id, stockMovements.cylinderId))
    .leftJoin(spools, eq(spools.id, stockMovements.spoolId))
    .where(eq(orderCounts.orderId, orderId))
    .orderBy(asc(orderCounts.id), asc(stockMovements.id));
}

/** What one observation moved. */
export async function movementsOf(db: Executor, observationId: string): Promise<Movement[]> {
  const rows = await db.select().from(stockMovements).where(eq(stockMovements.observationId, observationId));
  return rows.map(({ cylinderId, spoolId, amount }) => ({
    ...(cylinderId === null ? {} : { cylinderId }),
    ...(spoolId === null ? {} : { spoolId }),
    amount,
  }));
}
