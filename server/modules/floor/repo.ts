import type { LeadReadingRow, StepTimes } from '@fox-tempo/contract';
import type { StepKind } from '@fox-tempo/core';
import { asc, desc, eq } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { leadReadings, people, stepTimes } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

export async function listLeadReadings(db: Executor, machineId: string): Promise<LeadReadingRow[]> {
  const rows = await db
    .select({
      id: leadReadings.id,
      mOhm: leadReadings.mOhm,
      note: leadReadings.note,
      at: leadReadings.at,
      by: people.name,
    })
    .from(leadReadings)
    .innerJoin(people, eq(people.id, leadReadings.by))
    .where(eq(leadReadings.machineId, machineId))
    .orderBy(asc(leadReadings.at), asc(leadReadings.id));
  return rows.map((row) => ({ ...row, at: isoTime(row.at) }));
}

export async function insertLeadReading(
  db: Executor,
  values: {
    readonly machineId: string;
    readonly mOhm: number;
    readonly note: string;
    readonly by: string;
    readonly at?: string;
  },
): Promise<void> {
  await db.insert(leadReadings).values(values);
}

export async function insertStepTime(
  db: Executor,
  values: { readonly machineId: string; readonly kind: string; readonly minutes: number; readonly by: string },
): Promise<void> {
  await db.insert(stepTimes).values(values);
}

/** How many of the last timings count. */
const counted = 5;

export async function ownStepTimes(db: Executor, machineId: string): Promise<StepTimes> {
  const rows = await db
    .select({ kind: stepTimes.kind, minutes: stepTimes.minutes })
    .from(stepTimes)
    .where(eq(stepTimes.machineId, machineId))
    .orderBy(desc(stepTimes.id));
  const byKind = new Map<StepKind, number[]>();
  for (const { kind, minutes } of rows) {
    const list = byKind.get(kind as StepKind) ?? [];
    if (list.length < counted) list.push(minutes);
    byKind.set(kind as StepKind, list);
  }
  return { minutes: Object.fromEntries([...byKind].map(([kind, list]) => [kind, median(list)])) };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}
