import { readProgramFile, type Page, type ProgramFile, type SlotEntry } from '@fox-tempo/contract';
import { and, asc, desc, eq, getTableColumns, gt, inArray, lt, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { createRowCache } from '../../db/row-cache.ts';
import { observations, parts, people, seams, slotEntries } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

const storers = alias(people, 'storers');
/** Everything of an entry but its program and dials, which never change and are kept. */
const { program: _program, dials: _dials, ...light } = getTableColumns(slotEntries);
type Content = Pick<SlotEntry, 'program' | 'dials'>;
const kept = createRowCache<Content>(4000);
/** The moment is part of the key: another database may use the same ids. */
const keyOf = ({ id, storedAt }: { readonly id: number; readonly storedAt: string }) => `${id} ${storedAt}`;

function entries(db: Executor) {
  return db
    .select({ entry: light, seamName: seams.name, partName: parts.name, storedBy: storers.name })
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
  const contents = await kept.get(
    rows.map(({ entry }) => keyOf(entry)),
    async (missing) => {
      const ids = rows.filter(({ entry }) => missing.includes(keyOf(entry))).map(({ entry }) => entry.id);
      const whole = await db.select().from(slotEntries).where(inArray(slotEntries.id, ids));
      return new Map(whole.map((row) => [keyOf(row), contentOf(row)]));
    },
  );
  return (row) => {
    const content = contents.get(keyOf(row.entry));
    if (!content) throw new Error(`slot entry ${row.entry.id} is gone`);
    return toEntry(row, content, found.get(row.entry.id) ?? null);
  };
}

function contentOf({ id, program, dials }: typeof slotEntries.$inferSelect): Content {
  const read = readProgramFile(program);
  if (!read.ok) throw new Error(`slot entry ${id} holds an unreadable program`);
  return { program: read.value, dials };
}

function toEntry(
  { entry, seamName, partName, storedBy }: Row,
  { program, dials }: Content,
  found: Found | null,
): SlotEntry {
  return {
    id: entry.id,
    slot: entry.slot,
    seamId: entry.seamId,
    seamName,
    partName,
    revision: entry.revision,
    program,
    dials,
    note: entry.note,
    storedAt: isoTime(entry.storedAt),
    storedBy,
    found,
  };
}
