import type { Order, Page } from '@fox-tempo/contract';
import { and, asc, eq, gt, or } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { orders, parts } from '../../db/schema/index.ts';
import { toPage, type PageRequest } from '../../http/paging.ts';

/** Orders by due date, the next one first. */
export async function listOrders(db: Executor, { limit, after }: PageRequest): Promise<Page<Order>> {
  const rows = await db
    .select({
      id: orders.id,
      number: orders.number,
      partId: orders.partId,
      partName: parts.name,
      quantity: orders.quantity,
      done: orders.done,
      dueOn: orders.dueOn,
    })
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
