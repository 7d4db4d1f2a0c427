import type { Order, Page } from '@fox-tempo/contract';
import { and, asc, eq, gt, or, sql } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { orders, parts } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';

const columns = {
  id: orders.id,
  number: orders.number,
  partId: orders.partId,
  partName: parts.name,
  quantity: orders.quantity,
  done: orders.done,
  dueOn: orders.dueOn,
};

/** Orders by due date, the next one first. */
export async function listOrders(db: Executor, { limit, after }: PageRequest): Promise<Page<Order>> {
  const rows = await db
    .select(columns)
    .from(orders)
    .innerJoin(parts, eq(parts.id, orders.partId))
    .where(after && or(gt(orders.dueOn, after[0]), and(eq(orders.dueOn, after[0]), gt(orders.id, after[1]))))
    .orderBy(asc(orders.dueOn), asc(orders.id))
    .limit(limit + 1);
  return toPage(
    rows,
    limit,
    (row) => [row.dueOn, row.id],
    (row) => row,
  );
}

/** Adds to the parts done, held between nought and nothing more than was possible; the new count, or undefined when there is no such order. */
export async function addDone(db: Executor, id: string, count: number, authorId: string): Promise<Order | undefined> {
  await db
    .update(orders)
    .set({
      done: sql`greatest(${orders.done} + ${count}, 0)`,
      version: sql`${orders.version} + 1`,
      changedAt: sql`now()`,
      changedBy: authorId,
    })
    .where(eq(orders.id, id));
  return findOrder(db, id);
}

export async function findOrder(db: Executor, id: string): Promise<Order | undefined> {
  const [row] = await db
    .select(columns)
    .from(orders)
    .innerJoin(parts, eq(parts.id, orders.partId))
    .where(eq(orders.id, id));
  return row;
}
