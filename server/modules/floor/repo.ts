import type { LeadReadingRow, Page, StepTimes } from '@fox-tempo/contract';
import type { StepKind } from '@fox-tempo/core/machine/setup';
import { and, asc, eq, gt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { observations, people } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';
import { bodiesAt } from '../observations/index.ts';

/** Readings, the oldest first. */
export async function leadReadings(
  db: Executor,
  machineId: string,
  { limit, after }: PageRequest,
): Promise<Page<LeadReadingRow>> {
  const since = sql`${after?.[0] ?? ''}::timestamptz`;
  const rows = await db
    .select({ id: observations.id, at: observations.at, body: observations.body, by: people.name })
    .from(observations)
    .innerJoin(people, eq(people.id, observations.recordedBy))
    .where(
      and(
        eq(observations.machineId, machineId),
        eq(observations.kind, 'lead-reading'),
        after &&
          or(gt(observations.at, since), and(eq(observations.at, since), gt(observations.id, sql`${after[1]}::uuid`))),
      ),
    )
    .orderBy(asc(observations.at), asc(observations.id))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.at, row.id],
    ({ id, at, body, by }) => ({ id, mOhm: body['mOhm'] as number, note: body['note'] as string, at: isoTime(at), by }),
  );
}

/** How many of the last timings count. */
const counted = 5;

export async function ownStepTimes(db: Executor, machineId: string): Promise<StepTimes> {
  const byKind = new Map<StepKind, number[]>();
  for (const { body } of await bodiesAt(db, machineId, 'step-time')) {
    const kind = body['kind'] as StepKind;
    const list = byKind.get(kind) ?? [];
    if (list.length < counted) list.push(body['minutes'] as number);
    byKind.set(kind, list);
  }
  return { minutes: Object.fromEntries([...byKind].map(([kind, list]) => [kind, median(list)])) };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}
