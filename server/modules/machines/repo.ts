import {
  outlineOf,
  readMachineFile,
  readStanding,
  type MachineFile,
  type MachineResource,
  type MachineStanding,
  type Page,
} from '@fox-tempo/contract';
import { asc, eq, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { machines, people } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

const columns = {
  id: machines.id,
  version: machines.version,
  file: machines.file,
  standing: machines.standing,
  retired: machines.retired,
  changedAt: machines.changedAt,
  changedBy: people.name,
};

/** In use first, then by name. */
export async function listMachines(db: Executor, { limit, after }: PageRequest): Promise<Page<MachineResource>> {
  const key = sql<string>`(case when ${machines.retired} then '1' else '0' end) || ${machines.name}`;
  const rows = await db
    .select({ ...columns, key })
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .where(after && sql`${key} > ${after[0]}`)
    .orderBy(asc(key))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.key, row.id],
    ({ key: _key, ...row }) => toResource(row),
  );
}

export async function findMachine(db: Executor, id: string): Promise<MachineResource | undefined> {
  const [row] = await db
    .select(columns)
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .where(eq(machines.id, id));
  return row && toResource(row);
}

/** Locks the row for the rest of the transaction; its version, or undefined when there is none. */
export async function lockMachine(db: Executor, id: string): Promise<number | undefined> {
  const [row] = await db.select({ version: machines.version }).from(machines).where(eq(machines.id, id)).for('update');
  return row?.version;
}

export async function nameTaken(db: Executor, name: string, exceptId: string): Promise<boolean> {
  const rows = await db.select({ id: machines.id }).from(machines).where(eq(machines.name, name));
  return rows.some((row) => row.id !== exceptId);
}

export async function insertMachine(db: Executor, id: string, file: MachineFile, authorId: string): Promise<void> {
  await db.insert(machines).values({ id, ...columnsOf(file), createdBy: authorId, changedBy: authorId });
}

export async function updateMachine(
  db: Executor,
  id: string,
  change: { readonly file?: MachineFile; readonly standing?: MachineStanding; readonly retired?: boolean },
  authorId: string,
): Promise<void> {
  const { file, ...rest } = change;
  await db
    .update(machines)
    .set({
      ...(file ? columnsOf(file) : {}),
      ...rest,
      version: sql`${machines.version} + 1`,
      changedAt: sql`now()`,
      changedBy: authorId,
    })
    .where(eq(machines.id, id));
}

function columnsOf(file: MachineFile) {
  return { name: file.name, place: file.place, peakCurrentA: file.limits.peakCurrentA, file };
}

type Row = Omit<MachineResource, 'file' | 'standing' | 'trouble'> & {
  readonly file: unknown;
  readonly standing: unknown;
};

/** Rows written by an older version are brought up as they are read; one that passes no more is shown as such and breaks no list. */
function toResource(row: Row): MachineResource {
  const { file, trouble } = readFileOf(row);
  return { ...row, file, trouble, standing: readStanding(row.standing), changedAt: isoTime(row.changedAt) };
}

interface ReadFile {
  readonly file: MachineFile;
  readonly trouble: MachineResource['trouble'];
}
/** Files read once for each version: a described machine has hundreds of checks. */
const readFiles = new Map<string, ReadFile>();
const keptFiles = 400;

function readFileOf({ id, version, changedAt, file }: Row): ReadFile {
  const key = `${id} ${version} ${changedAt}`;
  const known = readFiles.get(key);
  if (known) return known;
  const read = readMachineFile(file);
  const result = read.ok
    ? { file: read.value, trouble: null }
    : { file: outlineOf(file, id), trouble: read.issues.map((issue) => ({ ...issue })) };
  readFiles.set(key, result);
  // The oldest goes; a map keeps the order of insertion.
  if (readFiles.size > keptFiles) readFiles.delete(readFiles.keys().next().value ?? '');
  return result;
}
