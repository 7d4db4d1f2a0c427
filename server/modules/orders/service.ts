/** Orders, and parts that are done: the order counts up, gas and wire count down, together or not at all. */
import { phrase } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Counted, Order, OrderCreate, OrderSave } from '@fox-tempo/contract';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { addObservation } from '../observations/repo.ts';
import { requirePart } from '../parts/service.ts';
import { seamsOfPart } from '../seams/repo.ts';
import { lockItems } from '../stock/repo.ts';
import { drawForParts, writeDrawn, type Draw } from '../stock/service.ts';
import { undoLast } from '../stock/take-back.ts';
import { addCount, findOrder, insertOrder, lockOrder, numberTaken, updateOrder } from './repo.ts';

export async function addOrder(db: Database, order: OrderCreate, by: string): Promise<Order> {
  await requirePart(db, order.partId);
  await refuseTaken(db, order.number);
  const id = `order-${randomUUID().slice(0, 8)}`;
  await insertOrder(db, id, order, by);
  return requireOrder(db, id);
}

export async function saveOrder(
  db: Database,
  id: string,
  version: number,
  save: OrderSave,
  by: string,
): Promise<Order> {
  await requirePart(db, save.partId);
  await refuseTaken(db, save.number, id);
  const done = await updateOrder(db, id, version, save, by);
  const now = await requireOrder(db, id);
  if (!done) throw staleVersion(now, save, phrase('server.orders.order-was-changed-meanwhile', { number: now.number }));
  return now;
}

/**
 * Counts parts done, or takes them back: the opposite movement of the same size. `key` is the observation's id; the caller sees to it
 * that one key comes here once.
 */
export function countDone(db: Database, id: string, key: string, count: number, by: string): Promise<Counted> {
  return db.transaction(async (tx) => {
    // The order first, then the stock in the order of its ids: two counters never wait for each other in a ring.
    if (!(await lockOrder(tx, id))) throw noOrder(id);
    const before = await requireOrder(tx, id);
    if (before.done + count < 0) {
      throw invalidInput([
        {
          path: 'count',
          code: 'more-than-done',
          message: phrase('server.orders.order-has-parts-done-cannot', {
            number: before.number,
            done: before.done,
            count: -count,
          }),
          limit: before.done,
          got: count,
        },
      ]);
    }
    const draws = await drawsFor(tx, before, count);
    const drawn = draws.map(({ what, amount, unit }) => ({ what, amount, unit }));
    await addObservation(tx, { id: key, kind: 'parts-done', recordedBy: by, body: { orderId: id, count, drawn } });
    await addCount(tx, id, key, count);
    await writeDrawn(tx, key, draws, by);
    return { order: await requireOrder(tx, id), drawn };
  });
}

async function drawsFor(db: Executor, order: Order, count: number): Promise<Draw[]> {
  const drawn = async (parts: number) =>
    parts === 0 ? [] : drawForParts(db, await seamsOfPart(db, order.partId), parts);
  if (count >= 0) return drawn(count);
  const { draws, rest } = await undoLast(db, order.id, -count);
  const ids = (key: 'cylinderId' | 'spoolId') => [...new Set(draws.flatMap(({ movement }) => movement[key] ?? []))];
  await lockItems(db, ids('cylinderId'), ids('spoolId'));
  return [...draws, ...(await drawn(-rest))];
}

async function requireOrder(db: Executor, id: string): Promise<Order> {
  const order = await findOrder(db, id);
  if (!order) throw noOrder(id);
  return order;
}

async function refuseTaken(db: Executor, number: string, exceptId?: string): Promise<void> {
  if (await numberTaken(db, number, exceptId))
    throw invalidInput([
      {
        path: 'number',
        code: 'number-taken',
        message: phrase('server.orders.there-is-an-order-already', { number }),
        got: number,
      },
    ]);
}

function noOrder(id: string): HttpProblem {
  return new HttpProblem('not-found', phrase('server.orders.there-is-no-order', { id }));
}
