/** The list of trials: drawn from their observations, so that it can be searched. */
import type { Page, Trial, TrialQuery, TrialRow } from '@fox-tempo/contract';
import { and, asc, desc, eq, gte, ilike, inArray, isNotNull, lt, or, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { machines, observations, parts, people, seams, trials } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';
import { isoTime } from '../../http/timestamp.ts';

export type NewTrial = Omit<typeof trials.$inferInsert, 'row' | 'at' | 'withdrawn'>;

const welders = alias(people, 'welders');
const recorders = alias(people, 'recorders');

/** Row and moment are those of the first observation, whose id it has. */
export async function putTrial(db: Executor, { id, ...values }: NewTrial): Promise<void> {
  const [first] = await db
    .select({ row: observations.row, at: observations.at })
    .from(observations)
    .where(eq(observations.id, id));
  if (!first) throw new Error('a trial stands on its observation');
  await db
    .insert(trials)
    .values({ id, ...first, ...values })
    .onConflictDoUpdate({ target: trials.id, set: values });
}

/** The trial that an observation belongs to. */
export async function trialOfObservation(db: Executor, observationId: string): Promise<string | undefined> {
  const [found] = await db
    .select({ id: trials.id })
    .from(trials)
    .where(or(eq(trials.observationId, observationId), eq(trials.id, observationId)));
  return found?.id;
}

/** By any of its observations. */
export async function withdrawTrial(db: Executor, observationId: string): Promise<void> {
  await db
    .update(trials)
    .set({ withdrawn: true })
    .where(or(eq(trials.id, observationId), eq(trials.observationId, observationId)));
}

function select(db: Executor) {
  return db
    .select({
      trial: trials,
      seamName: seams.name,
      partName: parts.name,
      machineName: machines.name,
      weldedBy: welders.name,
      recordedBy: recorders.name,
      revision: observations.revision,
    })
    .from(trials)
    .innerJoin(observations, eq(observations.id, trials.observationId))
    .innerJoin(seams, eq(seams.id, trials.seamId))
    .innerJoin(parts, eq(parts.id, seams.partId))
    .innerJoin(machines, eq(machines.id, trials.machineId))
    .innerJoin(welders, eq(welders.id, trials.welderId))
    .innerJoin(recorders, eq(recorders.id, observations.recordedBy));
}

type Found = Awaited<ReturnType<typeof select>>[number];

export interface TrialFilter extends TrialQuery {
  /** Where days begin and end. */
  readonly timeZone: string;
}

/** The newest first; what was taken back is left out. */
export async function listTrials(
  db: Executor,
  query: TrialFilter,
  { limit, after }: PageRequest,
): Promise<Page<TrialRow>> {
  const rows = await select(db)
    .where(and(...wanted(query), after && lt(trials.row, Number(after[0]))))
    .orderBy(desc(trials.row))
    .limit(limit + 1);
  return toPage(rows, limit, ({ trial }) => [String(trial.row), trial.id], toRow);
}

export async function findTrial(db: Executor, id: string): Promise<TrialRow | undefined> {
  const [row] = await select(db).where(eq(trials.id, id));
  return row && toRow(row);
}

/** What an issue stands on. */
export async function evidenceOf(db: Executor, ids: readonly string[]) {
  if (ids.length === 0) return [];
  const rows = await db
    .select({
      id: trials.id,
      seamId: trials.seamId,
      machineId: trials.machineId,
      verdict: trials.verdict,
      byEyeOnly: trials.byEyeOnly,
      revision: observations.revision,
      body: observations.body,
    })
    .from(trials)
    .innerJoin(observations, eq(observations.id, trials.observationId))
    .where(and(eq(trials.withdrawn, false), inArray(trials.id, [...ids])));
  return rows.map(({ body, ...row }) => ({
    ...row,
    rootFusion: (body as { judged?: { limits?: { rootFusion?: boolean } } }).judged?.limits?.rootFusion === true,
  }));
}

/** What stands in the observations of one trial, the oldest first. */
export async function formsOf(db: Executor, id: string) {
  return db
    .select({
      id: observations.id,
      at: observations.at,
      deviceAt: observations.deviceAt,
      body: observations.body,
      contentHash: observations.contentHash,
      kind: observations.kind,
      recordedBy: recorders.name,
    })
    .from(observations)
    .innerJoin(recorders, eq(recorders.id, observations.recordedBy))
    .where(
      sql`${observations.id} in (
        with recursive forms(id) as (select ${id}::uuid union select o.id from observations o join forms f on o.corrects = f.id) select id from forms)`,
    )
    .orderBy(asc(observations.row));
}

export interface TimedTrial {
  readonly welderId: string;
  readonly position: string;
  readonly mode: string;
  readonly planned: number;
  readonly found: number;
  readonly arcS: number;
  readonly timer: string;
}

/** Timed seams of everybody, for what is learned of a hand. */
export async function timedTrials(db: Executor): Promise<TimedTrial[]> {
  const rows = await db
    .select({
      welderId: trials.welderId,
      position: trials.position,
      mode: trials.mode,
      planned: trials.plannedTravelMmPerMin,
      found: trials.foundTravelMmPerMin,
      arcS: trials.arcSeconds,
      timer: trials.timer,
    })
    .from(trials)
    .where(and(eq(trials.withdrawn, false), isNotNull(trials.foundTravelMmPerMin)))
    .orderBy(desc(trials.row))
    .limit(2000);
  return rows.map((row) => ({ ...row, found: row.found ?? 0, arcS: row.arcS ?? 0, timer: row.timer ?? 'typed' }));
}

/** Distinct settings looked at; more would not move the factor. */
const mostSettings = 60;

/** Passed trials of one metal, the newest first. */
export async function passedTrials(db: Executor, materialGroup: string, limit = 400) {
  const rows = await select(db)
    .where(and(eq(trials.withdrawn, false), eq(trials.verdict, 'pass'), eq(trials.materialGroup, materialGroup)))
    .orderBy(desc(trials.row))
    .limit(limit);
  return rows.map((row) => ({ row: toRow(row), joint: row.trial.joint }));
}

/** Settings that passed on a joint, once each: which revision, in which position, at which feed. */
export async function passedSettings(db: Executor, joint: string, materialGroup: string) {
  return db
    .select({
      seamId: trials.seamId,
      revision: sql<number>`coalesce(${observations.revision}, 1)`,
      position: trials.position,
      feed: trials.wireFeedMPerMin,
    })
    .from(trials)
    .innerJoin(observations, eq(observations.id, trials.observationId))
    .where(
      and(
        eq(trials.joint, joint),
        eq(trials.materialGroup, materialGroup),
        eq(trials.verdict, 'pass'),
        eq(trials.withdrawn, false),
      ),
    )
    .groupBy(trials.seamId, observations.revision, trials.position, trials.wireFeedMPerMin)
    .limit(mostSettings);
}

/** Feed and trim of passed trials on one machine with one wire and gas. */
export async function passedTrims(
  db: Executor,
  machineId: string,
  { filler, gas, mode }: { readonly filler: string; readonly gas: string; readonly mode: string },
): Promise<(readonly [number, number])[]> {
  const rows = await db
    .select({ feed: trials.wireFeedMPerMin, trim: trials.trimMm })
    .from(trials)
    .where(
      and(
        eq(trials.machineId, machineId),
        eq(trials.verdict, 'pass'),
        eq(trials.withdrawn, false),
        eq(trials.filler, filler),
        eq(trials.gas, gas),
        eq(trials.mode, mode),
      ),
    )
    .limit(500);
  return rows.map(({ feed, trim }) => [feed, trim] as const);
}

function wanted(query: TrialFilter): (SQL | undefined)[] {
  const { seam, machine, welder, verdict, metal, filler, mode, symptom, since, until, text, timeZone } = query;
  const like = text === undefined || text.trim() === '' ? undefined : `%${text.trim().replaceAll(/[%_\\]/g, '\\$&')}%`;
  return [
    eq(trials.withdrawn, false),
    seam === undefined ? undefined : eq(trials.seamId, seam),
    machine === undefined ? undefined : eq(trials.machineId, machine),
    welder === undefined ? undefined : eq(trials.welderId, welder),
    verdict === undefined ? undefined : eq(trials.verdict, verdict),
    metal === undefined ? undefined : eq(trials.materialGroup, metal),
    filler === undefined ? undefined : eq(trials.filler, filler),
    mode === undefined ? undefined : eq(trials.mode, mode),
    symptom === undefined ? undefined : sql`${trials.symptoms} @> array[${symptom}]::text[]`,
    since === undefined ? undefined : gte(trials.at, sql`(${since}::date::timestamp at time zone ${timeZone})`),
    until === undefined ? undefined : lt(trials.at, sql`((${until}::date + 1)::timestamp at time zone ${timeZone})`),
    like === undefined ? undefined : or(ilike(seams.name, like), ilike(parts.name, like)),
  ];
}

function toRow({ trial, revision, ...names }: Found): TrialRow {
  return {
    id: trial.id,
    row: trial.row,
    at: isoTime(trial.at),
    seamId: trial.seamId,
    machineId: trial.machineId,
    ...names,
    weldedById: trial.welderId,
    revision: revision ?? 0,
    verdict: trial.verdict as TrialRow['verdict'],
    byEyeOnly: trial.byEyeOnly,
    materialGroup: trial.materialGroup as TrialRow['materialGroup'],
    thicknessMm: trial.thicknessMm,
    position: trial.position as TrialRow['position'],
    mode: trial.mode as TrialRow['mode'],
    filler: trial.filler as TrialRow['filler'],
    gas: trial.gas,
    diameterMm: trial.diameterMm,
    wireFeedMPerMin: trial.wireFeedMPerMin,
    trimMm: trial.trimMm,
    plannedTravelMmPerMin: trial.plannedTravelMmPerMin,
    foundTravelMmPerMin: trial.foundTravelMmPerMin,
    arcSeconds: trial.arcSeconds,
    legsMm: trial.legsMm,
    symptoms: trial.symptoms as Trial['symptoms'],
    photos: trial.photos,
  };
}
