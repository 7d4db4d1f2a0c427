/** The record of what was observed. This file only adds and reads; a trigger refuses anything else. */
import type { ActKind, Observation, Page, RecordedKind } from '@fox-tempo/contract';
import { and, desc, eq, gt, inArray, lt, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { attachments, blobs, observations, people } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';
import type { Author } from './author.ts';

export type ObservationKind = RecordedKind | ActKind;

export interface NewObservation {
  readonly id: string;
  readonly kind: ObservationKind;
  readonly by: Author;
  readonly body: Readonly<Record<string, unknown>>;
  readonly machineId?: string | null | undefined;
  readonly seamId?: string | null | undefined;
  readonly weldedBy?: string | undefined;
  readonly revision?: number | null | undefined;
  readonly contentHash?: string | null | undefined;
  readonly corrects?: string | undefined;
  /** Only for demo data, whose moments lie in the past. */
  readonly at?: string | undefined;
}

export async function addObservation(db: Executor, { body, by, ...row }: NewObservation): Promise<void> {
  const { id: recordedBy, sentBy, deviceAt } = by;
  await db.insert(observations).values({ ...row, recordedBy, sentBy, deviceAt, body: { ...body } });
}

export async function attach(
  db: Executor,
  observationId: string,
  files: readonly { readonly sha256: string; readonly name: string }[],
): Promise<void> {
  if (files.length > 0) await db.insert(attachments).values(files.map((file) => ({ observationId, ...file })));
}

const recorders = alias(people, 'recorders');
const welders = alias(people, 'welders');
const senders = alias(people, 'senders');

export interface ObservationFilter {
  readonly kind?: string | undefined;
  readonly machine?: string | undefined;
  readonly seam?: string | undefined;
}

function select(db: Executor) {
  return db
    .select({ row: observations, recordedBy: recorders.name, weldedBy: welders.name, sentBy: senders.name })
    .from(observations)
    .innerJoin(recorders, eq(recorders.id, observations.recordedBy))
    .leftJoin(welders, eq(welders.id, observations.weldedBy))
    .leftJoin(senders, eq(senders.id, observations.sentBy));
}

/** The newest first. */
export async function listObservations(
  db: Executor,
  { kind, machine, seam }: ObservationFilter,
  { limit, after }: PageRequest,
): Promise<Page<Observation>> {
  const wanted: (SQL | undefined)[] = [
    // What was taken back comes along, or the reader would still count it.
    kind === undefined ? undefined : inArray(observations.kind, [kind, 'withdrawal']),
    machine === undefined ? undefined : eq(observations.machineId, machine),
    seam === undefined ? undefined : eq(observations.seamId, seam),
    after === undefined ? undefined : lt(observations.row, sql`${after[0]}::bigint`),
  ];
  const rows = await select(db)
    .where(and(...wanted))
    .orderBy(desc(observations.row))
    .limit(limit + 1);
  const files = await filesOf(
    db,
    rows.map(({ row }) => row.id),
  );
  return toPage(
    rows,
    limit,
    ({ row }) => [String(row.row), row.id],
    (found) => toObservation(found, files),
  );
}

export async function findObservation(db: Executor, id: string): Promise<Observation | undefined> {
  const [found] = await select(db).where(eq(observations.id, id));
  return found && toObservation(found, await filesOf(db, [id]));
}

/** Who recorded and who welded it, with the row locked until the transaction ends; undefined where there is none. */
export async function lockObservation(
  db: Executor,
  id: string,
): Promise<{ readonly recordedBy: string; readonly weldedBy: string | null } | undefined> {
  const [row] = await db
    .select({ recordedBy: observations.recordedBy, weldedBy: observations.weldedBy })
    .from(observations)
    .where(eq(observations.id, id))
    .for('update');
  return row;
}

/** What took a row back; undefined while it stands. */
export async function withdrawalOf(db: Executor, id: string): Promise<Observation | undefined> {
  const [row] = await db
    .select({ id: observations.id })
    .from(observations)
    .where(and(eq(observations.corrects, id), eq(observations.kind, 'withdrawal')))
    .limit(1);
  return row && findObservation(db, row.id);
}

/** Bodies of one kind at one machine with who and when, the newest first. */
export async function bodiesAt(db: Executor, machineId: string, kind: ObservationKind, limit = 500) {
  const rows = await db
    .select({ id: observations.id, at: observations.at, body: observations.body, by: recorders.name })
    .from(observations)
    .innerJoin(recorders, eq(recorders.id, observations.recordedBy))
    .where(and(eq(observations.machineId, machineId), eq(observations.kind, kind)))
    .orderBy(desc(observations.at), desc(observations.row))
    .limit(limit);
  return rows.map((row) => ({ ...row, at: isoTime(row.at) }));
}

type Found = Awaited<ReturnType<typeof select>>[number];
type Files = Map<string, Observation['attachments']>;

async function filesOf(db: Executor, ids: readonly string[]): Promise<Files> {
  const files: Files = new Map();
  if (ids.length === 0) return files;
  const rows = await db
    .select({
      id: attachments.observationId,
      sha256: blobs.sha256,
      name: attachments.name,
      mediaType: blobs.mediaType,
      size: blobs.size,
    })
    .from(attachments)
    .innerJoin(blobs, eq(blobs.sha256, attachments.sha256))
    .where(inArray(attachments.observationId, [...ids]));
  for (const { id, ...file } of rows) files.set(id, [...(files.get(id) ?? []), file]);
  return files;
}

function toObservation({ row, recordedBy, weldedBy, sentBy }: Found, files: Files): Observation {
  return {
    id: row.id,
    row: row.row,
    kind: row.kind as ObservationKind,
    at: isoTime(row.at),
    deviceAt: row.deviceAt === null ? null : isoTime(row.deviceAt),
    recordedBy,
    sentBy,
    weldedBy,
    machineId: row.machineId,
    seamId: row.seamId,
    revision: row.revision,
    contentHash: row.contentHash,
    corrects: row.corrects,
    body: row.body,
    attachments: files.get(row.id) ?? [],
  };
}

/** The last who did anything at the machine in a span: who read the drift is not who made it. */
export async function lastHandAt(
  db: Executor,
  machineId: string,
  since: string,
  until: string,
): Promise<{ readonly by: string; readonly at: string; readonly kind: string } | null> {
  const [row] = await db
    .select({ at: observations.at, kind: observations.kind, by: people.name, welder: welders.name })
    .from(observations)
    .innerJoin(people, eq(people.id, observations.recordedBy))
    .leftJoin(welders, eq(welders.id, observations.weldedBy))
    .where(
      and(
        eq(observations.machineId, machineId),
        inArray(observations.kind, ['trial', 'run', 'standing', 'burn-back-stop', 'first-arc']),
        gt(observations.at, since),
        lt(observations.at, until),
      ),
    )
    .orderBy(desc(observations.at), desc(observations.row))
    .limit(1);
  return row ? { by: row.welder ?? row.by, at: isoTime(row.at), kind: row.kind } : null;
}
