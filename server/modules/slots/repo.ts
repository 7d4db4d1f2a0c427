import { readProgramFile, type Page, type ProgramFile, type SlotEntry } from '@fox-tempo/contract';
import { and, asc, desc, eq, gt, inArray, lt, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { observations, parts, people, seams, slotEntries } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

const storers = alias(people, 'storers');

function entries(db: Executor) {
  return db
    .select({ entry: slotEntries, seamName: seams.name, partName: parts.name, storedBy: storers.name })
    .from(slotEntries)
    .innerJoin(seams, eq(seams.id, slotEntries.seamId))
    .innerJoin(parts, eq(parts.id, seams.partId))
    .innerJoin(storers, eq(storers.id, slotEntries.storedBy))
    .$dynamic();
}

/** What stands in each slot now: the newest entry of each, by slot. */
export async function currentEntries(
  db: Executor,
  machineId: string,
  { limit, after }: PageRequest,
): Promise<Page<SlotEntry>> {
  const rows = await entries(db)
    .where(
      and(
        eq(slotEntries.machineId, machineId),
        sql`${slotEntries.id} in (select max(id) from slot_entries where machine_id = ${machineId} group by slot)`,
        after && gt(slotEntries.slot, sql`${after[0]}::int`),
      ),
    )
    .orderBy(asc(slotEntries.slot))
    .limit(limit + 1);
  return toPage(rows, limit, ({ entry }) => [String(entry.slot), String(entry.id)], await entryMaker(db, rows));
}

/** Everything that ever stood in a slot, the newest first. */
export async function slotHistory(
  db: Executor,
  machineId: string,
  slot: number,
  { limit, after }: PageRequest = { limit: 200, after: undefined },
): Promise<Page<SlotEntry>> {
  const rows = await entries(db)
    .where(
      and(
        eq(slotEntries.machineId, machineId),
        eq(slotEntries.slot, slot),
        after && lt(slotEntries.id, sql`${after[0]}::bigint`),
      ),
    )
    .orderBy(desc(slotEntries.id))
    .limit(limit + 1);
  return toPage(rows, limit, ({ entry }) => [String(entry.id), ''], await entryMaker(db, rows));
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

type Row = Awaited<ReturnType<typeof entries>>[number];
type Found = NonNullable<SlotEntry['found']>;

/** Turns rows into entries, each with what was last found beside it. */
async function entryMaker(db: Executor, rows: readonly Row[]): Promise<(row: Row) => SlotEntry> {
  const found = new Map<number, Found>();
  if (rows.length > 0) {
    const entryId = sql<number>`(${observations.body}->>'entryId')::int`;
    const noted = await db
      .select({ entryId, body: observations.body, at: observations.at, by: people.name })
      .from(observations)
      .innerJoin(people, eq(people.id, observations.recordedBy))
      .where(
        and(
          eq(observations.kind, 'slot-found'),
          inArray(
            entryId,
            rows.map(({ entry }) => entry.id),
          ),
        ),
      )
      .orderBy(asc(observations.row));
    for (const row of noted)
      found.set(row.entryId, { dials: row.body['dials'] as Found['dials'], foundAt: isoTime(row.at), foundBy: row.by });
  }
  return (row) => toEntry(row, found.get(row.entry.id) ?? null);
}

function toEntry({ entry, seamName, partName, storedBy }: Row, found: Found | null): SlotEntry {
  const program = readProgramFile(entry.program);
  if (!program.ok) throw new Error(`slot entry ${entry.id} holds an unreadable program`);
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
    found,
  };
}
