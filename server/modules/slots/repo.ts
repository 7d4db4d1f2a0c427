import { readProgramFile, type ProgramFile, type SlotEntry } from '@fox-tempo/contract';
import { and, desc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { parts, people, seams, slotEntries } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

const storers = alias(people, 'storers');
const finders = alias(people, 'finders');

function entries(db: Executor) {
  return db
    .select({
      entry: slotEntries,
      seamName: seams.name,
      partName: parts.name,
      storedBy: storers.name,
      foundBy: finders.name,
    })
    .from(slotEntries)
    .innerJoin(seams, eq(seams.id, slotEntries.seamId))
    .innerJoin(parts, eq(parts.id, seams.partId))
    .innerJoin(storers, eq(storers.id, slotEntries.storedBy))
    .leftJoin(finders, eq(finders.id, slotEntries.foundBy))
    .$dynamic();
}

/** What stands in each slot now: the newest entry of each. */
export async function currentEntries(db: Executor, machineId: string): Promise<SlotEntry[]> {
  const rows = await entries(db)
    .where(
      and(
        eq(slotEntries.machineId, machineId),
        sql`${slotEntries.id} in (select max(id) from slot_entries where machine_id = ${machineId} group by slot)`,
      ),
    )
    .orderBy(slotEntries.slot);
  return rows.map(toEntry);
}

/** Everything that ever stood in a slot, the newest first. */
export async function slotHistory(db: Executor, machineId: string, slot: number): Promise<SlotEntry[]> {
  const rows = await entries(db)
    .where(and(eq(slotEntries.machineId, machineId), eq(slotEntries.slot, slot)))
    .orderBy(desc(slotEntries.id));
  return rows.map(toEntry);
}

export async function insertEntry(
  db: Executor,
  values: {
    readonly machineId: string;
    readonly slot: number;
    readonly seamId: string;
    readonly programId: string;
    readonly revision: number;
    readonly program: ProgramFile;
    readonly dials: Record<string, number>;
    readonly note: string;
    readonly storedBy: string;
    readonly storedAt?: string;
  },
): Promise<void> {
  await db.insert(slotEntries).values(values);
}

export async function setFound(
  db: Executor,
  entryId: number,
  dials: Record<string, number>,
  authorId: string,
  at = new Date().toISOString(),
): Promise<void> {
  await db
    .update(slotEntries)
    .set({ foundDials: dials, foundAt: at, foundBy: authorId })
    .where(eq(slotEntries.id, entryId));
}

type Row = Awaited<ReturnType<typeof entries>>[number];

function toEntry({ entry, seamName, partName, storedBy, foundBy }: Row): SlotEntry {
  const program = readProgramFile(entry.program);
  if (!program.ok) throw new Error(`slot entry ${entry.id} holds an unreadable program`);
  const { foundDials, foundAt } = entry;
  return {
    id: entry.id,
    slot: entry.slot,
    seamId: entry.seamId,
    seamName,
    partName,
    revision: entry.revision,
    program: program.value,
    dials: entry.dials,
    note: entry.note,
    storedAt: isoTime(entry.storedAt),
    storedBy,
    found: foundDials && foundAt ? { dials: foundDials, foundAt: isoTime(foundAt), foundBy: foundBy ?? '' } : null,
  };
}
