/** Seams in the database, each with its newest revision and what was signed about it. */
import type { LimitsHistory, Page, Revision, SeamResource, SeamSpec } from '@fox-tempo/contract';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { prepared } from '../../db/prepared.ts';
import { observations, parts, people, programRevisions, programs, seams } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';
import { readRevisions, revisionKeyColumns } from '../revisions/index.ts';

const creators = alias(people, 'creators');
const changers = alias(people, 'changers');
const authors = alias(people, 'authors');

function seamQuery(db: Executor) {
  // The newest revision of each seam's program, or none.
  const newest = sql`(select max(r.number) from program_revisions r where r.program_id = ${programs.id})`;
  return db
    .select({
      seam: seams,
      partName: parts.name,
      createdBy: creators.name,
      changedBy: changers.name,
      revision: revisionKeyColumns,
      revisionBy: authors.name,
    })
    .from(seams)
    .innerJoin(parts, eq(parts.id, seams.partId))
    .innerJoin(creators, eq(creators.id, seams.createdBy))
    .innerJoin(changers, eq(changers.id, seams.changedBy))
    .leftJoin(programs, eq(programs.seamId, seams.id))
    .leftJoin(programRevisions, and(eq(programRevisions.programId, programs.id), eq(programRevisions.number, newest)))
    .leftJoin(authors, eq(authors.id, programRevisions.createdBy));
}

type Row = Awaited<ReturnType<typeof seamQuery>>[number];

const pageOfSeams = prepared('seams_page', (db) =>
  seamQuery(db)
    .where(
      and(
        eq(seams.deleted, false),
        sql`(${seams.createdAt}, ${seams.id}) > (${sql.placeholder('since')}::timestamptz, ${sql.placeholder('id')})`,
      ),
    )
    .orderBy(asc(seams.createdAt), asc(seams.id))
    .limit(sql.placeholder('rows')),
);
const oneSeam = prepared('seam_one', (db) => seamQuery(db).where(eq(seams.id, sql.placeholder('id'))));
const seamsOn = prepared('seams_of_part', (db) =>
  seamQuery(db)
    .where(and(eq(seams.partId, sql.placeholder('partId')), eq(seams.deleted, false)))
    .orderBy(asc(seams.createdAt), asc(seams.id)),
);

/** Seams in the order they were described; deleted ones are left out. */
export async function listSeams(db: Executor, { limit, after }: PageRequest): Promise<Page<SeamResource>> {
  const [since, id] = after ?? ['-infinity', ''];
  const rows = await pageOfSeams(db).execute({ since, id, rows: limit + 1 });
  const resources = await toResources(db, rows);
  return toPage(
    rows.map((row, at) => ({ row, resource: resources[at] as SeamResource })),
    limit,
    ({ row }) => [row.seam.createdAt, row.seam.id],
    ({ resource }) => resource,
  );
}

/** Deleted ones too, and said so. */
export async function findSeam(db: Executor, id: string): Promise<SeamResource | undefined> {
  const [row] = await oneSeam(db).execute({ id });
  return row && (await toResources(db, [row]))[0];
}

/** The seam's version, with its row locked until the transaction ends. */
export async function lockSeam(db: Executor, id: string): Promise<number | undefined> {
  const [row] = await db.select({ version: seams.version }).from(seams).where(eq(seams.id, id)).for('update');
  return row?.version;
}

export async function insertSeam(
  db: Executor,
  id: string,
  partId: string,
  spec: SeamSpec,
  authorId: string,
): Promise<void> {
  await db.insert(seams).values({ id, partId, ...toColumns(spec), createdBy: authorId, changedBy: authorId });
}

export async function updateSeam(db: Executor, id: string, spec: SeamSpec, authorId: string): Promise<void> {
  await db
    .update(seams)
    .set({ ...toColumns(spec), version: sql`${seams.version} + 1`, changedAt: sql`now()`, changedBy: authorId })
    .where(eq(seams.id, id));
}

/** Moves it, takes it off the lists or brings it back. */
export async function changeSeam(
  db: Executor,
  id: string,
  change: { readonly partId?: string; readonly deleted?: boolean },
  authorId: string,
): Promise<void> {
  await db
    .update(seams)
    .set({ ...change, version: sql`${seams.version} + 1`, changedAt: sql`now()`, changedBy: authorId })
    .where(eq(seams.id, id));
}

interface Marks {
  readonly locks: Map<string, SeamResource['lock']>;
  readonly issued: Map<string, SeamResource['issued']>;
  readonly limits: Map<string, Pick<SeamResource, 'limits' | 'limitsWritten'>>;
  readonly windows: Map<string, SeamResource['windows']>;
  readonly offsets: Map<string, SeamResource['offsets']>;
}

const signedOn = prepared('seams_signed', (db) =>
  db
    .select({ row: observations, by: authors.name })
    .from(observations)
    .innerJoin(authors, eq(authors.id, observations.recordedBy))
    .where(
      and(
        sql`${observations.seamId} = any(${sql.placeholder('ids')})`,
        inArray(observations.kind, ['lock', 'issue', 'limits', 'window', 'offset']),
      ),
    )
    .orderBy(asc(observations.row)),
);

/** Locks, issued references and limits as their newest observations say. */
async function marksOf(db: Executor, ids: readonly string[]): Promise<Marks> {
  const marks: Marks = {
    locks: new Map(),
    issued: new Map(),
    limits: new Map(),
    windows: new Map(),
    offsets: new Map(),
  };
  if (ids.length === 0) return marks;
  const rows = await signedOn(db).execute({ ids: [...ids] });
  for (const { row, by } of rows) {
    const seamId = row.seamId ?? '';
    // Limits of an earlier version have no reason.
    const { reason = '', locked } = row.body as { reason?: string; locked?: boolean };
    const at = isoTime(row.at);
    if (row.kind === 'lock') marks.locks.set(seamId, locked === true ? { reason, by, at } : null);
    else if (row.kind === 'window') {
      const others = (marks.windows.get(seamId) ?? []).filter((one) => one.machineId !== row.machineId);
      const { window, failureBelow95 } = row.body as {
        window: SeamResource['windows'][number]['window'] | null;
        failureBelow95: number;
      };
      const machineId = row.machineId ?? '';
      const one = window && { machineId, revision: row.revision ?? 0, window, failureBelow95, reason, by, at };
      marks.windows.set(seamId, one ? [...others, one] : others);
    } else if (row.kind === 'offset') {
      const [machineId, personId] = [row.machineId ?? '', row.recordedBy];
      const others = (marks.offsets.get(seamId) ?? []).filter(
        (one) => one.machineId !== machineId || one.personId !== personId,
      );
      const offset = row.body['offset'] as SeamResource['offsets'][number]['offset'];
      const one = { machineId, personId, revision: row.revision ?? 0, offset };
      marks.offsets.set(seamId, Object.keys(offset).length > 0 ? [...others, one] : others);
    } else if (row.kind === 'limits') {
      const number = (marks.limits.get(seamId)?.limitsWritten?.number ?? 0) + 1;
      const limits = row.body['limits'] as SeamResource['limits'];
      marks.limits.set(seamId, { limits, limitsWritten: { number, by, at, reason } });
    } else {
      const others = (marks.issued.get(seamId) ?? []).filter((one) => one.machineId !== row.machineId);
      marks.issued.set(seamId, [
        ...others,
        { revision: row.revision ?? 0, machineId: row.machineId ?? '', reason, by, at },
      ]);
    }
  }
  return marks;
}

function toColumns(spec: SeamSpec) {
  const { thicknessesMm, ...rest } = spec;
  return {
    ...rest,
    preparation: spec.preparation ?? null,
    arcIntent: spec.arcIntent ?? null,
    thickness1Mm: thicknessesMm[0],
    thickness2Mm: thicknessesMm[1],
  };
}

function toResource(
  { seam, partName, createdBy, changedBy }: Row,
  revision: Revision | null,
  marks: Marks,
): SeamResource {
  return {
    id: seam.id,
    partId: seam.partId,
    partName,
    version: seam.version,
    spec: {
      name: seam.name,
      grade: seam.grade,
      materialGroup: seam.materialGroup as SeamSpec['materialGroup'],
      thicknessesMm: [seam.thickness1Mm, seam.thickness2Mm],
      joint: seam.joint as SeamSpec['joint'],
      position: seam.position as SeamSpec['position'],
      gapMm: seam.gapMm,
      legMm: seam.legMm,
      lengthMm: seam.lengthMm,
      travelMmPerMin: seam.travelMmPerMin,
      ...(seam.preparation ? { preparation: seam.preparation } : {}),
      ...(seam.arcIntent ? { arcIntent: seam.arcIntent } : {}),
    },
    choice: revision?.choice ?? null,
    revision,
    lock: marks.locks.get(seam.id) ?? null,
    issued: marks.issued.get(seam.id) ?? [],
    ...(marks.limits.get(seam.id) ?? { limits: null, limitsWritten: null }),
    windows: marks.windows.get(seam.id) ?? [],
    offsets: marks.offsets.get(seam.id) ?? [],
    deleted: seam.deleted,
    createdAt: isoTime(seam.createdAt),
    createdBy,
    changedAt: isoTime(seam.changedAt),
    changedBy,
  };
}

/** Rows with their newest revisions and marks, in their order. */
async function toResources(db: Executor, rows: readonly Row[]): Promise<SeamResource[]> {
  const keys = rows.flatMap(({ revision, revisionBy }) =>
    revision && revisionBy !== null ? [{ ...revision, by: revisionBy }] : [],
  );
  const [revisions, marks] = await Promise.all([
    readRevisions(db, keys),
    marksOf(
      db,
      rows.map(({ seam }) => seam.id),
    ),
  ]);
  const newest = new Map(keys.map((key, at) => [key.programId, revisions[at] ?? null]));
  return rows.map((row) => toResource(row, newest.get(row.revision?.programId ?? '') ?? null, marks));
}

/** Every writing of a seam's limits, the oldest first. */
export async function limitsHistory(db: Executor, seamId: string): Promise<LimitsHistory> {
  const rows = await db
    .select({ at: observations.at, body: observations.body, by: authors.name })
    .from(observations)
    .innerJoin(authors, eq(authors.id, observations.recordedBy))
    .where(and(eq(observations.seamId, seamId), eq(observations.kind, 'limits')))
    .orderBy(asc(observations.row));
  return rows.map(({ at, body, by }, index) => ({
    number: index + 1,
    by,
    at: isoTime(at),
    reason: (body['reason'] as string | undefined) ?? '',
    limits: body['limits'] as SeamResource['limits'],
  }));
}

/** Every seam of a part, in the order they were described. */
export async function seamsOfPart(db: Executor, partId: string): Promise<SeamResource[]> {
  const rows = await seamsOn(db).execute({ partId });
  return toResources(db, rows);
}

/** Whether a lead hand let this welder save beyond lock and window, and that still holds. */
export async function hasRelease(db: Executor, seamId: string, welderId: string): Promise<boolean> {
  const rows = await db
    .select({ id: observations.id })
    .from(observations)
    .where(
      and(
        eq(observations.kind, 'release'),
        eq(observations.seamId, seamId),
        eq(observations.weldedBy, welderId),
        sql`(${observations.body}->>'until')::timestamptz > now()`,
      ),
    )
    .limit(1);
  return rows.length > 0;
}
