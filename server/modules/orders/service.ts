/** Orders, and parts that are done: the order counts up, gas and wire count down, together or not at all. */
import { minutesOf } from '@fox-tempo/core/base/units';
import { notCounted, partsReady, taken, type SeamCount } from '@fox-tempo/core/evidence/run';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import {
  may,
  type Counted,
  type Order,
  type OrderCreate,
  type OrderSave,
  type PartsDone,
  type Role,
} from '@fox-tempo/contract';
import type { Issue } from '@fox-tempo/core/base/outcome';
import { amount, joined } from '@fox-tempo/core/base/messages';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { addObservation, self, type Author } from '../observations/index.ts';
import { requirePart } from '../parts/index.ts';
import { seamsOfPart } from '../seams/index.ts';
import { lockItems, drawFor, writeDrawn, type Draw, undoLast } from '../stock/index.ts';
import { addCount, findOrder, loggedOf, insertOrder, lockOrder, numberTaken, takenBy, updateOrder } from './repo.ts';

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
  return db.transaction(async (tx) => {
    if (!(await lockOrder(tx, id))) throw noOrder(id);
    const stored = await requireOrder(tx, id);
    if (stored.version !== version)
      throw staleVersion(stored, save, message('server.orders.error.changed-meanwhile', { number: stored.number }));
    if (save.closed && !stored.closed) await askBeforeClosing(tx, stored, save);
    await updateOrder(tx, id, version, save, by);
    return requireOrder(tx, id);
  });
}

/** An order that is short, or of which a part is held, is closed by somebody who has read what that leaves. */
async function askBeforeClosing(db: Executor, order: Order, { confirmed = [], quantity }: OrderSave): Promise<void> {
  const { number, done } = order;
  const questions: Issue[] = [];
  const { gasL, wireKg, arcS } = await takenBy(db, order.id);
  const took = message('server.orders.it-took', {
    arc: amount('minutes', minutesOf(arcS), 0),
    wire: amount('spoolMass', wireKg, 2),
    gas: amount('volume', gasL, 0),
  });
  if (done < quantity)
    questions.push({
      path: 'closed',
      code: 'closed-short',
      message: joined(
        [message('server.orders.closed-short', { number, done, quantity, open: quantity - done }), took],
        ' ',
      ),
      limit: quantity,
      got: done,
    });
  const seams = new Map((await seamsOfPart(db, order.partId)).map(({ id, spec }) => [id, spec.name]));
  const held = (await seamCounts(db, order)).filter((one) => one.held > 0);
  if (held.length > 0)
    questions.push({
      path: 'closed',
      code: 'held-part',
      message: message('server.orders.held-part', {
        number,
        seams: joined(
          held.map(({ seamId, held: count }) => `${seams.get(seamId) ?? ''} (${count})`),
          ', ',
        ),
      }),
    });
  ask(questions, confirmed);
}

/** Puts the questions that were not answered with yes yet. */
function ask(questions: readonly Issue[], confirmed: readonly string[]): void {
  const open = questions.filter(({ code }) => !confirmed.includes(code));
  if (open[0])
    throw new HttpProblem(
      'ask-first',
      joined(
        open.map(({ message }) => message),
        ' ',
      ),
      { issues: open },
    );
}

/**
 * Counts parts done, or takes them back: the opposite movement of the same size. `key` is the observation's id; the caller sees to it
 * that one key comes here once.
 */
export function countDone(
  db: Database,
  id: string,
  key: string,
  { count, confirmed = [] }: PartsDone,
  by: Author,
  role: Role,
): Promise<Counted> {
  return db.transaction(async (tx) => {
    // The order first, then the stock in the order of its ids: two counters never wait for each other in a ring.
    if (!(await lockOrder(tx, id))) throw noOrder(id);
    const before = await requireOrder(tx, id);
    if (before.done + count < 0) {
      throw invalidInput([
        {
          path: 'count',
          code: 'more-than-done',
          message: message('server.orders.error.take-back-too-many', {
            number: before.number,
            done: before.done,
            count: -count,
          }),
          limit: before.done,
          got: count,
        },
      ]);
    }
    if (count > 0) await askBeforeCounting(tx, before, count, confirmed, role);
    const { draws, consumed } = await drawsFor(tx, before, count);
    const drawn = draws.map(({ what, amount, unit }) => ({ what, amount, unit }));
    // Movements keep this order: taking back finds by it which of them belongs to which seam.
    const welds = draws.map((draw) => draw.welds ?? null);
    const body = { orderId: id, count, drawn, consumed, welds };
    await addObservation(tx, { id: key, kind: 'parts-done', by, body });
    await addCount(tx, id, key, count);
    await writeDrawn(tx, key, draws, by.id);
    return { order: await requireOrder(tx, id), drawn };
  });
}

/** No part is counted whose weld is held; one whose weld was not logged, or nobody ordered, only after a question. */
async function askBeforeCounting(
  db: Executor,
  order: Order,
  count: number,
  confirmed: readonly string[],
  role: Role,
): Promise<void> {
  const { number, quantity, done } = order;
  const missing = notCounted(await seamCounts(db, order), count);
  const names = new Map((await seamsOfPart(db, order.partId)).map(({ id, spec }) => [id, spec.name]));
  const named = (why: 'held' | 'unlogged') =>
    missing.filter((one) => one.why === why).map(({ seamId }) => names.get(seamId) ?? seamId);
  const [held, unlogged] = [named('held'), named('unlogged')];
  if (held.length > 0)
    throw invalidInput([
      {
        path: 'count',
        code: 'weld-held',
        message: message('server.orders.weld-is-held', { number, seams: joined(held, ', ') }),
        got: count,
      },
    ]);
  if (unlogged.length > 0 && !may('countUnlogged', role))
    throw invalidInput([
      {
        path: 'count',
        code: 'unlogged',
        message: message('server.orders.weld-not-logged', { number, seams: joined(unlogged, ', ') }),
        got: count,
      },
    ]);
  const questions: Issue[] = [];
  if (unlogged.length > 0)
    questions.push({
      path: 'count',
      code: 'unlogged',
      message: message('server.orders.count-unlogged', { number, seams: joined(unlogged, ', ') }),
      got: count,
    });
  if (order.closed)
    questions.push({
      path: 'count',
      code: 'order-closed',
      message: message('server.orders.order-is-closed', { number }),
      got: count,
    });
  if (done + count > quantity)
    questions.push({
      path: 'count',
      code: 'beyond-ordered',
      message: message('server.orders.beyond-ordered', { number, quantity, done: done + count }),
      limit: quantity,
      got: done + count,
    });
  ask(questions, confirmed);
}

/** A part whose every seam was logged counts by itself; what it took was drawn when it was welded. The order is locked already. */
export async function countReady(db: Executor, id: string, by: string): Promise<void> {
  const order = await requireOrder(db, id);
  const seams = await seamCounts(db, order);
  const count = partsReady(seams);
  if (count === 0) return;
  const key = randomUUID();
  const body = { orderId: id, count, drawn: [], consumed: taken(seams, count) };
  await addObservation(db, { id: key, kind: 'parts-done', by: self(by), body });
  await addCount(db, id, key, count);
}

/** How often each seam of the order's part was logged, and how many of those went into counted parts. */
export async function seamCounts(db: Executor, { id, partId }: Order): Promise<SeamCount[]> {
  const [seams, logged] = [await seamsOfPart(db, partId), await loggedOf(db, id)];
  return seams
    .filter(({ revision }) => revision !== null)
    .map((seam) => ({ seamId: seam.id, ...(logged.get(seam.id) ?? { welded: 0, counted: 0, held: 0 }) }));
}

async function drawsFor(
  db: Executor,
  order: Order,
  count: number,
): Promise<{ readonly draws: Draw[]; readonly consumed: Record<string, number> }> {
  const seams = (await seamsOfPart(db, order.partId)).flatMap(({ id, revision }) =>
    revision ? [{ id, revision }] : [],
  );
  const drawn = (parts: number, logged: Record<string, number> = {}) =>
    parts === 0
      ? []
      : drawFor(
          db,
          seams.map(({ id, revision }) => ({ seamId: id, revision, count: parts - (logged[id] ?? 0) })),
        );
  if (count >= 0) {
    const consumed = taken(await seamCounts(db, order), count);
    return { draws: await drawn(count, consumed), consumed };
  }
  const { draws, rest, freed } = await undoLast(db, order.id, -count);
  const ids = (key: 'cylinderId' | 'spoolId') => [...new Set(draws.flatMap(({ movement }) => movement[key] ?? []))];
  await lockItems(db, ids('cylinderId'), ids('spoolId'));
  const consumed = Object.fromEntries(Object.entries(freed).map(([seamId, welds]) => [seamId, -welds]));
  return { draws: [...draws, ...(await drawn(-rest))], consumed };
}

export async function requireOrder(db: Executor, id: string): Promise<Order> {
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
        message: message('server.orders.error.number-taken', { number }),
        got: number,
      },
    ]);
}

function noOrder(id: string): HttpProblem {
  return new HttpProblem('not-found', message('server.orders.error.no-order', { id }));
}
