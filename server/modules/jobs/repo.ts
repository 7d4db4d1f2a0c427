import type { Job } from '@fox-tempo/contract';
import { and, eq, inArray, lt, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { jobs } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

export async function insertJob(
  db: Executor,
  row: { readonly id: string; readonly verb: Job['verb']; readonly input: unknown; readonly createdBy: string },
): Promise<void> {
  await db.insert(jobs).values(row);
}

export async function findJob(db: Executor, id: string, createdBy: string): Promise<Job | undefined> {
  const [row] = await db
    .select()
    .from(jobs)
    .where(and(eq(jobs.id, id), eq(jobs.createdBy, createdBy)));
  if (!row) return undefined;
  const { verb, state, progress, tries, answer, trouble, createdAt } = row;
  return {
    id,
    verb: verb as Job['verb'],
    state: state as Job['state'],
    progress,
    tries,
    answer,
    trouble,
    createdAt: isoTime(createdAt),
  };
}

/** Whether it was written down yet. */
export async function isJob(db: Executor, id: string): Promise<boolean> {
  return (await db.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, id))).length > 0;
}

/** Takes a job up for its next try; undefined when it is over or called off. */
export async function beginJob(
  db: Executor,
  id: string,
): Promise<{ readonly input: unknown; readonly tries: number } | undefined> {
  const [row] = await db
    .update(jobs)
    .set({ state: 'running', progress: 0, tries: sql`${jobs.tries} + 1`, beatAt: sql`now()` })
    .where(and(eq(jobs.id, id), inArray(jobs.state, ['waiting', 'running']), eq(jobs.cancelled, false)))
    .returning({ input: jobs.input, tries: jobs.tries });
  return row;
}

/** A sign of life; false when the job was called off or another try has taken it up. */
export async function beat(db: Executor, id: string, tries: number, progress: number): Promise<boolean> {
  const rows = await db
    .update(jobs)
    .set({ progress, beatAt: sql`now()` })
    .where(and(eq(jobs.id, id), eq(jobs.tries, tries), eq(jobs.cancelled, false)))
    .returning({ id: jobs.id });
  return rows.length > 0;
}

/** Writes the end; only the try that is still the newest may. */
export async function endJob(
  db: Executor,
  id: string,
  tries: number,
  end: { readonly state: 'done' | 'failed'; readonly answer?: unknown; readonly trouble?: string },
): Promise<void> {
  await db
    .update(jobs)
    .set({ ...end, ...(end.state === 'done' ? { progress: 1 } : {}) })
    .where(and(eq(jobs.id, id), eq(jobs.tries, tries), eq(jobs.cancelled, false)));
}

export async function cancelJob(db: Executor, id: string): Promise<void> {
  await db
    .update(jobs)
    .set({ cancelled: true, state: 'cancelled' })
    .where(and(eq(jobs.id, id), inArray(jobs.state, ['waiting', 'running'])));
}

/** Jobs whose worker has not been heard of for so long. */
export async function silentJobs(db: Executor, seconds: number): Promise<string[]> {
  const rows = await db
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.state, 'running'), lt(jobs.beatAt, sql`now() - make_interval(secs => ${seconds})`)));
  return rows.map((row) => row.id);
}
