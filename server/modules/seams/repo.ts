/** Seams, their programs and revisions in the database; the only file of this module that knows tables. */
import {
  programChoice,
  readProgramFile,
  type Page,
  type ProgramChoice,
  type ProgramFile,
  type Revision,
  type RevisionUse,
  type SeamResource,
  type SeamSpec,
} from '@fox-tempo/contract';
import { and, asc, desc, eq, gt, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { observations, parts, people, programRevisions, programs, seams } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';
import { contentHash } from './use.ts';

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
      revision: programRevisions,
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

/** Seams in the order they were described; deleted ones are left out. */
export async function listSeams(db: Executor, { limit, after }: PageRequest): Promise<Page<SeamResource>> {
  const since = sql`${after?.[0] ?? ''}::timestamptz`;
  const rows = await seamQuery(db)
    .where(
      and(
        eq(seams.deleted, false),
        after && or(gt(seams.createdAt, since), and(eq(seams.createdAt, since), gt(seams.id, after[1]))),
      ),
    )
    .orderBy(asc(seams.createdAt), asc(seams.id))
    .limit(limit + 1);
  const marks = await marksOf(
    db,
    rows.slice(0, limit).map(({ seam }) => seam.id),
  );
  return toPage(
    rows,
    limit,
    (row) => [row.seam.createdAt, row.seam.id],
    (row) => toResource(row, marks),
  );
}

/** Deleted ones too, and said so. */
export async function findSeam(db: Executor, id: string): Promise<SeamResource | undefined> {
  const [row] = await seamQuery(db).where(eq(seams.id, id));
  return row && toResource(row, await marksOf(db, [id]));
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

export function programIdOf(seamId: string): string {
  return `program-${seamId}`.slice(0, 64);
}

/** Appends the next revision, making the program at the first one. */
export async function appendRevision(
  db: Executor,
  seamId: string,
  content: {
    readonly spec: SeamSpec;
    readonly choice: ProgramChoice;
    readonly program: ProgramFile;
    readonly use: RevisionUse | null;
    readonly contentHash: string;
  },
  authorId: string,
): Promise<void> {
  const programId = programIdOf(seamId);
  await db
    .insert(programs)
    .values({ id: programId, seamId, createdBy: authorId, changedBy: authorId })
    .onConflictDoUpdate({
      target: programs.seamId,
      set: { version: sql`${programs.version} + 1`, changedAt: sql`now()`, changedBy: authorId },
    });
  const [last] = await db
    .select({ number: programRevisions.number })
    .from(programRevisions)
    .where(eq(programRevisions.programId, programId))
    .orderBy(desc(programRevisions.number))
    .limit(1);
  await db
    .insert(programRevisions)
    .values({ programId, number: (last?.number ?? 0) + 1, ...content, createdBy: authorId });
}

/** Revisions, the newest first. */
export async function listRevisions(
  db: Executor,
  seamId: string,
  { limit, after }: PageRequest,
): Promise<Page<Revision>> {
  const rows = await db
    .select({ revision: programRevisions, by: authors.name })
    .from(programRevisions)
    .innerJoin(programs, eq(programs.id, programRevisions.programId))
    .innerJoin(authors, eq(authors.id, programRevisions.createdBy))
    .where(and(eq(programs.seamId, seamId), after && lt(programRevisions.number, sql`${after[0]}::int`)))
    .orderBy(desc(programRevisions.number))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    ({ revision }) => [String(revision.number), revision.programId],
    ({ revision, by }) => toRevision(revision, by),
  );
}

export async function findRevision(db: Executor, seamId: string, number: number): Promise<Revision | undefined> {
  const [row] = await db
    .select({ revision: programRevisions, by: authors.name })
    .from(programRevisions)
    .innerJoin(programs, eq(programs.id, programRevisions.programId))
    .innerJoin(authors, eq(authors.id, programRevisions.createdBy))
    .where(and(eq(programs.seamId, seamId), eq(programRevisions.number, number)));
  return row && toRevision(row.revision, row.by);
}

/** Rows older than the stored figures: filled once, from what they hold themselves. */
export async function fillMissingUse(
  db: Executor,
  useFor: (revision: Revision) => RevisionUse | null,
): Promise<number> {
  const rows = await db
    .select({ revision: programRevisions, by: authors.name })
    .from(programRevisions)
    .innerJoin(authors, eq(authors.id, programRevisions.createdBy))
    .where(isNull(programRevisions.contentHash));
  for (const { revision, by } of rows) {
    const brought = toRevision(revision, by);
    await db
      .update(programRevisions)
      .set({ use: useFor(brought), contentHash: contentHash(brought.program) })
      .where(and(eq(programRevisions.programId, revision.programId), eq(programRevisions.number, revision.number)));
  }
  return rows.length;
}

interface Marks {
  readonly locks: Map<string, SeamResource['lock']>;
  readonly issued: Map<string, SeamResource['issued']>;
}

/** Locks and issued references as their newest observations say. */
async function marksOf(db: Executor, ids: readonly string[]): Promise<Marks> {
  const marks: Marks = { locks: new Map(), issued: new Map() };
  if (ids.length === 0) return marks;
  const rows = await db
    .select({ row: observations, by: authors.name })
    .from(observations)
    .innerJoin(authors, eq(authors.id, observations.recordedBy))
    .where(and(inArray(observations.seamId, [...ids]), inArray(observations.kind, ['lock', 'issue'])))
    .orderBy(asc(observations.row));
  for (const { row, by } of rows) {
    const seamId = row.seamId ?? '';
    const { reason, locked } = row.body as { reason: string; locked?: boolean };
    const at = isoTime(row.at);
    if (row.kind === 'lock') marks.locks.set(seamId, locked === true ? { reason, by, at } : null);
    else {
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
  return { ...rest, thickness1Mm: thicknessesMm[0], thickness2Mm: thicknessesMm[1] };
}

function toResource({ seam, partName, createdBy, changedBy, revision, revisionBy }: Row, marks: Marks): SeamResource {
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
    },
    choice: revision ? programChoice.parse(revision.choice) : null,
    revision: revision && revisionBy !== null ? toRevision(revision, revisionBy) : null,
    lock: marks.locks.get(seam.id) ?? null,
    issued: marks.issued.get(seam.id) ?? [],
    deleted: seam.deleted,
    createdAt: isoTime(seam.createdAt),
    createdBy,
    changedAt: isoTime(seam.changedAt),
    changedBy,
  };
}

function toRevision(row: typeof programRevisions.$inferSelect, by: string): Revision {
  const { number, spec, choice, use, contentHash: hash, createdAt } = row;
  const program = programOf(row);
  return {
    number,
    spec,
    choice: programChoice.parse(choice),
    program,
    use,
    contentHash: hash,
    createdAt: isoTime(createdAt),
    createdBy: by,
  };
}

/** Every seam of a part, in the order they were described. */
export async function seamsOfPart(db: Executor, partId: string): Promise<SeamResource[]> {
  const rows = await seamQuery(db)
    .where(and(eq(seams.partId, partId), eq(seams.deleted, false)))
    .orderBy(asc(seams.createdAt), asc(seams.id));
  const marks = await marksOf(
    db,
    rows.map(({ seam }) => seam.id),
  );
  return rows.map((row) => toResource(row, marks));
}

/** Programs read once: a revision never changes. */
const readPrograms = new Map<string, ProgramFile>();
const keptPrograms = 3000;

/** Rows written by an older version are brought up as they are read. */
function programOf({ programId, number, createdAt, program }: typeof programRevisions.$inferSelect): ProgramFile {
  const key = `${programId} ${number} ${createdAt}`;
  const known = readPrograms.get(key);
  if (known) return known;
  const read = readProgramFile(program);
  if (!read.ok) throw new Error(`revision ${number} of ${programId} holds an unreadable program`);
  readPrograms.set(key, read.value);
  if (readPrograms.size > keptPrograms) readPrograms.delete(readPrograms.keys().next().value ?? '');
  return read.value;
}
