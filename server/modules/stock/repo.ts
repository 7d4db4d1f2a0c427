import type { Cylinder, CylinderSave, Spool, SpoolSave } from '@fox-tempo/contract';
import type { FillerCode } from '@fox-tempo/core';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { cylinders, people, spools } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

export async function listCylinders(db: Executor): Promise<Cylinder[]> {
  const rows = await db
    .select({ row: cylinders, by: people.name })
    .from(cylinders)
    .innerJoin(people, eq(people.id, cylinders.changedBy))
    .orderBy(asc(cylinders.name));
  return rows.map(({ row, by }) => ({
    id: row.id,
    version: row.version,
    name: row.name,
    gas: row.gas,
    volumeL: row.volumeL,
    pressureBar: row.pressureBar,
    massKg: row.massKg,
    convention: row.convention as Cylinder['convention'],
    machineId: row.machineId,
    changedAt: isoTime(row.changedAt),
    changedBy: by,
  }));
}

export async function listSpools(db: Executor): Promise<Spool[]> {
  const rows = await db
    .select({ row: spools, by: people.name })
    .from(spools)
    .innerJoin(people, eq(people.id, spools.changedBy))
    .orderBy(asc(spools.name));
  return rows.map(({ row, by }) => ({
    id: row.id,
    version: row.version,
    name: row.name,
    filler: row.filler as FillerCode,
    diameterMm: row.diameterMm,
    massKg: row.massKg,
    machineId: row.machineId,
    changedAt: isoTime(row.changedAt),
    changedBy: by,
  }));
}

export async function insertCylinder(db: Executor, id: string, save: CylinderSave, by: string): Promise<void> {
  await db.insert(cylinders).values({ id, ...save, createdBy: by, changedBy: by });
}

export async function insertSpool(db: Executor, id: string, save: SpoolSave, by: string): Promise<void> {
  await db.insert(spools).values({ id, ...save, createdBy: by, changedBy: by });
}

/** False when the version is not the stored one. */
export async function updateCylinder(
  db: Executor,
  id: string,
  version: number,
  save: CylinderSave,
  by: string,
): Promise<boolean> {
  const rows = await db
    .update(cylinders)
    .set({ ...save, version: sql`${cylinders.version} + 1`, changedAt: sql`now()`, changedBy: by })
    .where(and(eq(cylinders.id, id), eq(cylinders.version, version)))
    .returning({ id: cylinders.id });
  return rows.length > 0;
}

export async function updateSpool(
  db: Executor,
  id: string,
  version: number,
  save: SpoolSave,
  by: string,
): Promise<boolean> {
  const rows = await db
    .update(spools)
    .set({ ...save, version: sql`${spools.version} + 1`, changedAt: sql`now()`, changedBy: by })
    .where(and(eq(spools.id, id), eq(spools.version, version)))
    .returning({ id: spools.id });
  return rows.length > 0;
}

export async function setCylinderContent(
  db: Executor,
  id: string,
  content: { readonly pressureBar: number | null; readonly massKg: number | null },
  by: string,
): Promise<void> {
  await db
    .update(cylinders)
    .set({ ...content, version: sql`${cylinders.version} + 1`, changedAt: sql`now()`, changedBy: by })
    .where(eq(cylinders.id, id));
}

export async function setSpoolMass(db: Executor, id: string, massKg: number, by: string): Promise<void> {
  await db
    .update(spools)
    .set({ massKg, version: sql`${spools.version} + 1`, changedAt: sql`now()`, changedBy: by })
    .where(eq(spools.id, id));
}

/** Waits for whoever else is counting stock down. */
export async function lockStock(db: Executor): Promise<void> {
  await db.select({ id: cylinders.id }).from(cylinders).orderBy(asc(cylinders.id)).for('update');
  await db.select({ id: spools.id }).from(spools).orderBy(asc(spools.id)).for('update');
}
