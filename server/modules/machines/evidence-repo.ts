/** What the record says of how machines' dials stood: everything that was read, set, ticked or welded with, as the core's evidence. */
import type { DialEvidence, DialSource } from '@fox-tempo/core/machine/setup';
import { sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { isoTime } from '../../http/timestamp.ts';

/** Rows looked at of each kind on each machine, the newest: a dial that none of them names is as good as unknown. */
const mostRows = 30;

interface Row extends Record<string, unknown> {
  readonly machine: string;
  readonly kind: string;
  readonly body: {
    readonly standing?: { readonly dials: Dials; readonly slot?: number | null; readonly from?: 'entered' | 'set-up' };
    readonly dials?: Dials;
    readonly sent?: { readonly dials?: Dials };
    readonly slot?: number;
    readonly putBack?: boolean;
  };
  readonly at: string;
  readonly by: string;
}
type Dials = Readonly<Record<string, number>>;

/**
 * By machine. A row that was corrected or withdrawn, and a weld that was a slip, say nothing; a correction counts at the moment of what it
 * corrects.
 */
export async function dialEvidence(db: Executor, ids: readonly string[]): Promise<Map<string, DialEvidence[]>> {
  const found = new Map<string, DialEvidence[]>();
  if (ids.length === 0) return found;
  const { rows } = await db.execute<Row>(sql`
    select seen.machine_id as machine, seen.kind, seen.body,
      coalesce((select least(root.at, root.device_at) from observations root where root.id = seen.corrects), least(seen.at, seen.device_at)) as at,
      coalesce(welders.name, recorders.name) as by
    from unnest(${sql.param([...ids])}::text[]) as machine(id)
    cross join unnest(array['standing', 'trial', 'run', 'slot-found', 'dials-set']) as asked(kind)
    cross join lateral (
      select * from observations one
      where one.machine_id = machine.id and one.kind = asked.kind and not exists (
        select 1 from observations later
        where later.corrects = one.id and (later.kind in ('withdrawal', one.kind) or (later.kind = 'run-decision' and later.body->>'decision' = 'slip')))
      order by one.row desc limit ${mostRows}) as seen
    join people recorders on recorders.id = seen.recorded_by
    left join people welders on welders.id = seen.welded_by
    order by seen.row`);
  for (const row of rows) {
    const said = saidBy(row);
    if (!said) continue;
    const one = { ...said, at: isoTime(row.at), by: row.by };
    found.set(row.machine, [...(found.get(row.machine) ?? []), one]);
  }
  return found;
}

function saidBy({ kind, body }: Row): Pick<DialEvidence, 'source' | 'dials' | 'slot'> | undefined {
  const { standing, slot } = body;
  if (kind === 'standing' && standing) {
    const source: DialSource = (standing.slot ?? null) === null ? (standing.from ?? 'entered') : 'slot-called';
    return { source, dials: standing.dials, slot: standing.slot ?? null };
  }
  if (kind === 'slot-found' && body.dials)
    return { source: body.putBack ? 'put-back' : 'slot-read', dials: body.dials, slot };
  if (kind === 'run') return body.sent?.dials && { source: 'logged-weld', dials: body.sent.dials };
  if (!body.dials) return undefined;
  return { source: kind === 'trial' ? 'trial' : 'ticked', dials: body.dials };
}
