/** Revisions in the database: written once, read and checked once, and then kept by their key. */
import {
  programChoice,
  readProgramFile,
  readSite,
  type Page,
  type ProgramChoice,
  type ProgramFile,
  type Revision,
  type RevisionUse,
  type SeamSpec,
} from '@fox-tempo/contract';
import { and, desc, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { createRowCache } from '../../db/row-cache.ts';
import { people, programRevisions, programs } from '../../db/schema/index.ts';
import { standardSite, type Site } from '@fox-tempo/core/site';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';
import { contentHash } from './use.ts';

/** Who it is, without what it holds; with the author's name as it is now. */
export interface RevisionKey {
  readonly programId: string;
  readonly number: number;
  readonly createdAt: string;
  readonly by: string;
}

export const revisionKeyColumns = {
  programId: programRevisions.programId,
  number: programRevisions.number,
  createdAt: programRevisions.createdAt,
};

type Content = Omit<Revision, 'createdBy'>;
const kept = createRowCache<Content>(4000);
/** The moment is part of the key: another database may use the same ids. */
const keyOf = ({ programId, number, createdAt }: Omit<RevisionKey, 'by'>) => `${programId} ${number} ${createdAt}`;

/** The revisions of these keys, in their order. */
export async function readRevisions(db: Executor, keys: readonly RevisionKey[]): Promise<Revision[]> {
  const contents = await kept.get(keys.map(keyOf), async (missing) => {
    const wanted = keys.filter((key) => missing.includes(keyOf(key)));
    const rows = await db
      .select()
      .from(programRevisions)
      .where(inArray(programRevisions.programId, [...new Set(wanted.map((key) => key.programId))]));
    return new Map(rows.filter((row) => missing.includes(keyOf(row))).map((row) => [keyOf(row), contentOf(row)]));
  });
  return keys.flatMap((key) => {
    const content = contents.get(keyOf(key));
    return content ? [{ ...content, createdBy: key.by }] : [];
  });
}

/** Rows written by an older version are brought up as they are read. */
function contentOf(row: typeof programRevisions.$inferSelect): Content {
  const program = readProgramFile(row.program);
  if (!program.ok) throw new Error(`revision ${row.number} of ${row.programId} holds an unreadable program`);
  return {
    number: row.number,
    spec: row.spec,
    choice: programChoice.parse(row.choice),
    site: readSite(row.site) ?? standardSite,
    program: program.value,
    use: row.use,
    contentHash: row.contentHash,
    createdAt: isoTime(row.createdAt),
  };
}

function keyQuery(db: Executor) {
  return db
    .select({ ...revisionKeyColumns, by: people.name })
    .from(programRevisions)
    .innerJoin(programs, eq(programs.id, programRevisions.programId))
    .innerJoin(people, eq(people.id, programRevisions.createdBy))
    .$dynamic();
}

/** Revisions, the newest first. */
export async function listRevisions(
  db: Executor,
  seamId: string,
  { limit, after }: PageRequest,
): Promise<Page<Revision>> {
  const keys = await keyQuery(db)
    .where(and(eq(programs.seamId, seamId), after && lt(programRevisions.number, sql`${after[0]}::int`)))
    .orderBy(desc(programRevisions.number))
    .limit(limit + 1);
  const revisions = await readRevisions(db, keys);
  return toPage(
    revisions,
    limit,
    ({ number }) => [String(number), ''],
    (revision) => revision,
  );
}

export async function findRevision(db: Executor, seamId: string, number: number): Promise<Revision | undefined> {
  const keys = await keyQuery(db).where(and(eq(programs.seamId, seamId), eq(programRevisions.number, number)));
  return (await readRevisions(db, keys))[0];
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
    readonly site: Site;
    readonly program: ProgramFile;
    readonly use: RevisionUse | null;
    readonly contentHash: string;
  },
  authorId: string,
  /** Left out: now. */
  at?: string,
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
  await db.insert(programRevisions).values({
    programId,
    number: (last?.number ?? 0) + 1,
    ...content,
    createdBy: authorId,
    ...(at === undefined ? {} : { createdAt: at }),
  });
}

/** Rows older than the stored site or figures: filled once, from what they hold themselves. */
export async function bringUpRevisions(
  db: Executor,
  siteFor: (revision: Omit<Content, 'site'>) => Site,
  useFor: (revision: Content) => RevisionUse | null,
): Promise<number> {
  const rows = await db
    .select()
    .from(programRevisions)
    .where(or(isNull(programRevisions.contentHash), isNull(programRevisions.site)));
  for (const row of rows) {
    const content = contentOf(row);
    const site = row.site === null ? siteFor(content) : content.site;
    await db
      .update(programRevisions)
      .set({
        site,
        ...(row.contentHash === null
          ? { use: useFor({ ...content, site }), contentHash: contentHash(content.program) }
          : {}),
      })
      .where(and(eq(programRevisions.programId, row.programId), eq(programRevisions.number, row.number)));
  }
  return rows.length;
}
