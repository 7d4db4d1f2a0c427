import { dialEvidence } from './evidence-repo.ts';
import { knownDials, type DialEvidence } from '@fox-tempo/core/machine/setup';
import {
  outlineOf,
  readMachineFile,
  readStanding,
  type MachineCalibration,
  type MachineFile,
  type MachineResource,
  type MachineStanding,
  type Page,
} from '@fox-tempo/contract';
import { asc, eq, inArray, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { prepared } from '../../db/prepared.ts';
import { createRowCache } from '../../db/row-cache.ts';
import { machines, observations, people } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

const columns = {
  id: machines.id,
  version: machines.version,
  standing: machines.standing,
  retired: machines.retired,
  changedAt: machines.changedAt,
  changedBy: people.name,
};

const listKey = sql<string>`(case when ${machines.retired} then '1' else '0' end) || ${machines.name}`;
const pageOfMachines = prepared('machines_page', (db) =>
  db
    .select({ ...columns, key: listKey })
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .where(sql`${listKey} > ${sql.placeholder('after')}`)
    .orderBy(asc(listKey))
    .limit(sql.placeholder('rows')),
);
const oneMachine = prepared('machine_one', (db) =>
  db
    .select(columns)
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .where(eq(machines.id, sql.placeholder('id'))),
);

/** In use first, then by name. */
export async function listMachines(db: Executor, { limit, after }: PageRequest): Promise<Page<MachineResource>> {
  const rows = await pageOfMachines(db).execute({ after: after?.[0] ?? '', rows: limit + 1 });
  const resources = await toResources(
    db,
    rows.map(({ key: _key, ...row }) => row),
  );
  return toPage(
    rows.map((row, at) => ({ row, resource: resources[at] as MachineResource })),
    limit,
    ({ row }) => [row.key, row.id],
    ({ resource }) => resource,
  );
}

export async function findMachine(db: Executor, id: string): Promise<MachineResource | undefined> {
  const [row] = await oneMachine(db).execute({ id });
  return row && (await toResources(db, [row]))[0];
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

type Row = Omit<MachineResource, 'file' | 'standing' | 'trouble' | 'leadMOhm' | 'calibrations'> & {
  readonly standing: unknown;
};
type ReadFile = Pick<MachineResource, 'file' | 'trouble'>;

/** A described machine has hundreds of checks: its file is read once for each version. */
const kept = createRowCache<ReadFile>(400);
const keyOf = ({ id, version, changedAt }: Pick<Row, 'id' | 'version' | 'changedAt'>) =>
  `${id} ${version} ${changedAt}`;

/** One that passes no more is shown as such and breaks no list. */
async function toResources(db: Executor, rows: readonly Row[]): Promise<MachineResource[]> {
  const files = await kept.get(rows.map(keyOf), async (missing) => {
    const ids = rows.filter((row) => missing.includes(keyOf(row))).map((row) => row.id);
    const whole = await db
      .select({ id: machines.id, version: machines.version, changedAt: machines.changedAt, file: machines.file })
      .from(machines)
      .where(inArray(machines.id, ids));
    return new Map(whole.map((row) => [keyOf(row), readFileOf(row.id, row.file)]));
  });
  const observed = await observedAt(
    db,
    rows.map((row) => row.id),
  );
  const evidence = await dialEvidence(
    db,
    rows.map((row) => row.id),
  );
  return rows.map((row) => ({
    ...row,
    leadMOhm: observed.get(row.id)?.leadMOhm ?? null,
    calibrations: [...(observed.get(row.id)?.calibrations.values() ?? [])],
    // Changed between the two questions: read as an outline once, whole at the next look.
    ...(files.get(keyOf(row)) ?? readFileOf(row.id, null)),
    standing: asKnown(readStanding(row.standing), row.changedBy, evidence.get(row.id) ?? []),
    changedAt: isoTime(row.changedAt),
  }));
}

/** What was written down last, with each dial as the whole record knows it. A machine that nobody entered stays unknown. */
function asKnown(
  written: MachineStanding | null,
  by: string,
  evidence: readonly DialEvidence[],
): MachineStanding | null {
  if (!written) return null;
  const { since: at, dials, slot } = written;
  const first: DialEvidence = { source: slot === null ? 'entered' : 'slot-called', at, by, dials, slot };
  const known = knownDials([first, ...evidence]);
  return {
    ...written,
    slot: known.slot,
    dials: Object.fromEntries(Object.entries(known.dials).map(([id, { value }]) => [id, value])),
    known: Object.fromEntries(
      Object.entries(known.dials).map(([id, { source, by: who, at: when }]) => [id, { source, by: who, at: when }]),
    ),
  };
}

const observedOf = prepared('machine_observed', (db) =>
  db
    .select({
      machineId: observations.machineId,
      kind: observations.kind,
      body: observations.body,
      at: observations.at,
      by: people.name,
    })
    .from(observations)
    .innerJoin(people, eq(people.id, observations.recordedBy))
    .where(
      sql`${observations.kind} in ('lead-reading', 'calibration-points') and ${observations.machineId} = any(${sql.placeholder('ids')}) and not exists (
        select 1 from ${observations} as later where later.corrects = ${observations.id})`,
    )
    .orderBy(asc(observations.at), asc(observations.row)),
);

interface Observed {
  leadMOhm: number | null;
  readonly calibrations: Map<string, MachineCalibration>;
}

/** Leads and calibrated wires as observed last, by machine; rows that were corrected or withdrawn do not count. */
async function observedAt(db: Executor, ids: readonly string[]): Promise<Map<string, Observed>> {
  const found = new Map<string, Observed>();
  if (ids.length === 0) return found;
  // The oldest first, so that the newest of a machine and a wire is the one that stays.
  for (const { machineId, kind, body, at, by } of await observedOf(db).execute({ ids: [...ids] })) {
    const key = machineId ?? '';
    const one: Observed = found.get(key) ?? { leadMOhm: null, calibrations: new Map() };
    found.set(key, one);
    if (kind === 'lead-reading') one.leadMOhm = (body as { mOhm: number }).mOhm;
    else {
      const points = body as Omit<MachineCalibration, 'at' | 'by'>;
      one.calibrations.set(`${points.filler} ${points.gas} ${points.diameterMm}`, { ...points, at: isoTime(at), by });
    }
  }
  return found;
}

/** Rows written by an older version are brought up as they are read. */
function readFileOf(id: string, file: unknown): ReadFile {
  const read = readMachineFile(file);
  return read.ok
    ? { file: read.value, trouble: null }
    : { file: outlineOf(file, id), trouble: read.issues.map((issue) => ({ ...issue })) };
}
