import type { Order, OrderCreate, OrderSave, Page } from '@fox-tempo/contract';
import { and, asc, eq, gt, inArray, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Executor } from '../../db/connection.ts';
import { observations, orderCounts, orders, parts } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';

const columns = {
  id: orders.id,
  number: orders.number,
  partId: orders.partId,
  partName: parts.name,
  quantity: orders.quantity,
  done: sql<number>`coalesce((select sum(c.count) from order_counts c where c.order_id = "orders"."id"), 0)::int`,
  dueOn: orders.dueOn,
  version: orders.version,
  closed: orders.closed,
};

function query(db: Executor) {
  return db.select(columns).from(orders).innerJoin(parts, eq(parts.id, orders.partId));
}

/** Orders by due date, the next one first. */
export async function listOrders(db: Executor, { limit, after }: PageRequest): Promise<Page<Order>> {
  const rows = await query(db)
    .where(
      after &&
        or(
          gt(orders.dueOn, sql`${after[0]}::date`),
          and(eq(orders.dueOn, sql`${after[0]}::date`), gt(orders.id, after[1])),
        ),
    )
    .orderBy(asc(orders.dueOn), asc(orders.id))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.dueOn, row.id],
    (row) => row,
  );
}

export async function findOrder(db: Executor, id: string): Promise<Order | undefined> {
  const [row] = await query(db).where(eq(orders.id, id));
  return row;
}

/** Locks the order until the transaction ends; false when there is none. Whoever counts comes here first, then to the stock. */
export async function lockOrder(db: Executor, id: string): Promise<boolean> {
  return (await db.select({ id: orders.id }).from(orders).where(eq(orders.id, id)).for('update')).length > 0;
}

export async function addCount(db: Executor, orderId: string, observationId: string, count: number): Promise<void> {
  await db.insert(orderCounts).values({ orderId, observationId, count });
}

export async function numberTaken(db: Executor, number: string, exceptId?: string): Promise<boolean> {
  const rows = await db.select({ id: orders.id }).from(orders).where(eq(orders.number, number));
  return rows.some((row) => row.id !== exceptId);
}

export async function insertOrder(db: Executor, id: string, order: OrderCreate, by: string): Promise<void> {
  await db.insert(orders).values({ id, ...order, createdBy: by, changedBy: by });
}

/** False when the version is not the stored one. */
export async function updateOrder(
  db: Executor,
  id: string,
  version: number,
  { number, partId, quantity, dueOn, closed }: OrderSave,
  by: string,
): Promise<boolean> {
  const rows = await db
    .update(orders)
    .set({
      number,
      partId,
      quantity,
      dueOn,
      closed,
      version: sql`${orders.version} + 1`,
      changedAt: sql`now()`,
      changedBy: by,
    })
    .where(and(eq(orders.id, id), eq(orders.version, version)))
    .returning({ id: orders.id });
  return rows.length > 0;
}

export interface Logged {
  welded: number;
  counted: number;
  held: number;
}

/** By seam: records of production that may be counted for the order, and how many of them went into counted parts. */
export async function loggedOf(db: Executor, orderId: string): Promise<Map<string, Logged>> {
  const orderOf = (table: typeof observations) => sql`${table.body}->>'orderId' = ${orderId}`;
  const decided = alias(observations, 'decided');
  const state = sql`coalesce(${decided.body}->>'decision', case when jsonb_array_length(${observations.body}->'held') = 0 then 'released' else 'held' end)`;
  const welds = await db
    .select({
      seam: observations.seamId,
      welded: sql<number>`(count(*) filter (where ${state} = 'released'))::int`,
      held: sql<number>`(count(*) filter (where ${state} = 'held'))::int`,
    })
    .from(observations)
    .leftJoin(
      decided,
      sql`${decided.row} = (select max(x.row) from observations x where x.corrects = ${observations.id} and x.kind = 'run-decision')`,
    )
    .where(and(eq(observations.kind, 'run'), orderOf(observations)))
    .groupBy(observations.seamId);
  const counts = await db
    .select({ consumed: sql<Record<string, number> | null>`${observations.body}->'consumed'` })
    .from(observations)
    .where(and(eq(observations.kind, 'parts-done'), orderOf(observations)));
  const logged = new Map<string, Logged>();
  const entry = (seam: string) => {
    const found = logged.get(seam) ?? { welded: 0, counted: 0, held: 0 };
    logged.set(seam, found);
    return found;
  };
  for (const { seam, welded, held } of welds) Object.assign(entry(seam ?? ''), { welded, held });
  for (const { consumed } of counts)
    for (const [seam, used] of Object.entries(consumed ?? {})) entry(seam).counted += used;
  return logged;
}

/** What an order has taken so far: litres, kilograms and seconds of arc, from what was written down with each record. */
export async function takenBy(
  db: Executor,
  orderId: string,
): Promise<{ readonly gasL: number; readonly wireKg: number; readonly arcS: number }> {
  const rows = await db
    .select({ body: observations.body })
    .from(observations)
    .where(and(inArray(observations.kind, ['run', 'parts-done']), sql`${observations.body}->>'orderId' = ${orderId}`));
  const sum = { gasL: 0, wireKg: 0, arcS: 0 };
  for (const { body } of rows) {
    for (const { amount, unit } of (body['drawn'] ?? []) as { amount: number; unit: 'L' | 'kg' }[])
      sum[unit === 'L' ? 'gasL' : 'wireKg'] += amount;
    sum.arcS += (body['sent'] as { seconds?: number } | undefined)?.seconds ?? 0;
  }
  return sum;
}
