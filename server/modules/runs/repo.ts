/** Run records with what was decided about them, from the observations alone. */
import type { Page, Run, RunQuery } from '@fox-tempo/contract';
import { and, desc, eq, lt, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { machines, observations, orders, parts, people, seams } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

/** What a run's observation holds beside what was sent. */
export interface KeptRun {
  readonly orderId: string | null;
  /** Left out before feeders were named. */
  readonly feederId?: string | undefined;
  readonly sent: Run['body'];
  readonly loaded: Run['loaded'];
  readonly held: Run['held'];
  readonly drawn: Run['drawn'];
}

const recorders = alias(people, 'recorders');
const welders = alias(people, 'welders');
const senders = alias(people, 'senders');
const deciders = alias(people, 'deciders');
const decisions = alias(observations, 'decisions');

const state = sql<Run['state']>`coalesce(${decisions.body}->>'decision',
  case when jsonb_array_length(${observations.body}->'held') = 0 then 'counts' else 'held' end)`;

function select(db: Executor) {
  return db
    .select({
      row: observations,
      seamName: seams.name,
      partName: parts.name,
      machineName: machines.name,
      orderNumber: orders.number,
      recordedBy: recorders.name,
      weldedBy: welders.name,
      sentBy: senders.name,
      decision: decisions.body,
      decidedAt: decisions.at,
      decidedBy: deciders.name,
      state,
    })
    .from(observations)
    .innerJoin(seams, eq(seams.id, observations.seamId))
    .innerJoin(parts, eq(parts.id, seams.partId))
    .innerJoin(machines, eq(machines.id, observations.machineId))
    .innerJoin(recorders, eq(recorders.id, observations.recordedBy))
    .leftJoin(welders, eq(welders.id, observations.weldedBy))
    .leftJoin(senders, eq(senders.id, observations.sentBy))
    .leftJoin(orders, eq(orders.id, sql`${observations.body}->>'orderId'`))
    .leftJoin(
      decisions,
      sql`${decisions.row} = (select max(x.row) from observations x where x.corrects = ${observations.id} and x.kind = 'run-decision')`,
    )
    .leftJoin(deciders, eq(deciders.id, decisions.recordedBy));
}
type Found = Awaited<ReturnType<typeof select>>[number];

/** The newest first. */
export async function listRuns(db: Executor, query: RunQuery, { limit, after }: PageRequest): Promise<Page<Run>> {
  const wanted: (SQL | undefined)[] = [
    eq(observations.kind, 'run'),
    query.seam === undefined ? undefined : eq(observations.seamId, query.seam),
    query.machine === undefined ? undefined : eq(observations.machineId, query.machine),
    query.order === undefined ? undefined : sql`${observations.body}->>'orderId' = ${query.order}`,
    query.state === undefined ? undefined : sql`${state} = ${query.state}`,
    after === undefined ? undefined : lt(observations.row, sql`${after[0]}::bigint`),
  ];
  const rows = await select(db)
    .where(and(...wanted))
    .orderBy(desc(observations.row))
    .limit(limit + 1);
  return toPage(rows, limit, ({ row }) => [String(row.row), row.id], toRun);
}

export async function findRun(db: Executor, id: string): Promise<Run | undefined> {
  const [found] = await select(db).where(and(eq(observations.id, id), eq(observations.kind, 'run')));
  return found && toRun(found);
}

function toRun(found: Found): Run {
  const { row, decision, decidedAt, decidedBy } = found;
  const { orderId, sent, loaded, held, drawn } = row.body as unknown as KeptRun;
  return {
    id: row.id,
    row: row.row,
    at: isoTime(row.at),
    seamId: row.seamId ?? '',
    seamName: found.seamName,
    partName: found.partName,
    machineId: row.machineId ?? '',
    machineName: found.machineName,
    orderId,
    orderNumber: found.orderNumber,
    revision: row.revision ?? 1,
    recordedBy: found.recordedBy,
    recordedById: row.recordedBy,
    sentBy: found.sentBy,
    deviceAt: row.deviceAt === null ? null : isoTime(row.deviceAt),
    weldedBy: found.weldedBy ?? found.recordedBy,
    body: sent,
    loaded,
    held,
    state: found.state,
    decision:
      decision && decidedAt
        ? {
            ...(decision as Pick<NonNullable<Run['decision']>, 'decision' | 'reason'>),
            by: decidedBy ?? '',
            at: isoTime(decidedAt),
          }
        : null,
    drawn,
  };
}
