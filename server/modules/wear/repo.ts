/** Welds summed over the spans between replacements, from the observations alone. */
import { type WearPart, wearParts } from '@fox-tempo/core/machine/wear';
import { and, asc, eq, sql, type SQL } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { observations, people } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

export interface Replacement {
  readonly machineId: string;
  readonly feederId: string;
  readonly part: WearPart;
  readonly isWorn: boolean;
  readonly at: string;
  readonly by: string;
}

/** `until`: as it was known at that moment; left out: now. */
export async function listReplacements(db: Executor, until?: string): Promise<Replacement[]> {
  const rows = await db
    .select({ at: observations.at, machineId: observations.machineId, body: observations.body, by: people.name })
    .from(observations)
    .innerJoin(people, eq(people.id, observations.recordedBy))
    .where(
      and(
        eq(observations.kind, 'replaced'),
        until === undefined ? undefined : sql`${observations.at} <= ${until}::timestamptz`,
        sql`not exists (select 1 from observations x where x.corrects = ${observations.id} and x.kind = 'withdrawal')`,
      ),
    )
    .orderBy(asc(observations.at), asc(observations.row));
  return rows.map(({ at, machineId, body, by }) => {
    const { feederId, part, reason } = body as { feederId: string; part: WearPart; reason: string };
    return { machineId: machineId ?? '', feederId, part, isWorn: reason === 'worn', at: isoTime(at), by };
  });
}

/** Welds of one revision on one feeder; `spans` says after how many replacements of each part they were made. */
export interface WeldSum {
  readonly feederId: string | null;
  readonly seamId: string;
  readonly revision: number;
  readonly spans: Readonly<Record<WearPart, number>>;
  readonly welds: number;
  /** Timed seconds, and how many welds they are of. */
  readonly seconds: number;
  readonly timed: number;
}

export async function weldSums(
  db: Executor,
  machineId: string,
  moments: Readonly<Record<WearPart, readonly string[]>>,
  until?: string,
): Promise<WeldSum[]> {
  const seconds = sql<
    number | null
  >`coalesce(${observations.body}->'sent'->>'seconds', ${observations.body}->'timing'->>'seconds')::float8`;
  const feederId = sql<string | null>`${observations.body}->>'feederId'`;
  const span = (part: WearPart): SQL<number> =>
    moments[part].length === 0
      ? sql<number>`0`
      : sql<number>`width_bucket(${observations.at}, array[${sql.join(
          moments[part].map((moment) => sql`${moment}`),
          sql`, `,
        )}]::timestamptz[])`;
  const inner = db
    .select({
      feederId: feederId.as('feeder_id'),
      seamId: sql<string>`${observations.seamId}`.as('of_seam'),
      revision: sql<number>`coalesce(${observations.revision}, 1)`.as('of_revision'),
      seconds: seconds.as('seconds'),
      s0: span(wearParts[0]).as('s0'),
      s1: span(wearParts[1]).as('s1'),
      s2: span(wearParts[2]).as('s2'),
      s3: span(wearParts[3]).as('s3'),
    })
    .from(observations)
    .where(
      and(
        eq(observations.machineId, machineId),
        until === undefined ? undefined : sql`${observations.at} <= ${until}::timestamptz`,
        sql`${observations.kind} in ('run', 'trial')`,
        sql`${observations.corrects} is null`,
        // A slip was never welded.
        sql`not exists (select 1 from observations x where x.corrects = ${observations.id} and x.kind = 'run-decision' and x.body->>'decision' = 'slip')`,
      ),
    )
    .as('welds');
  const rows = await db
    .select({
      feederId: inner.feederId,
      seamId: inner.seamId,
      revision: inner.revision,
      s0: inner.s0,
      s1: inner.s1,
      s2: inner.s2,
      s3: inner.s3,
      welds: sql<number>`count(*)::int`,
      seconds: sql<number>`coalesce(sum(${inner.seconds}), 0)::float8`,
      timed: sql<number>`count(${inner.seconds})::int`,
    })
    .from(inner)
    .groupBy(inner.feederId, inner.seamId, inner.revision, inner.s0, inner.s1, inner.s2, inner.s3);
  return rows.map(({ s0, s1, s2, s3, ...row }) => ({
    ...row,
    spans: {
      [wearParts[0]]: s0,
      [wearParts[1]]: s1,
      [wearParts[2]]: s2,
      [wearParts[3]]: s3,
    },
  }));
}
