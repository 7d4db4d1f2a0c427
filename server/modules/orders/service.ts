/** Parts that are done: the order counts up, gas and wire count down, together or not at all. */
import type { Order } from '@fox-tempo/contract';
import type { Database } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { seamsOfPart } from '../seams/repo.ts';
import { drawForParts, type Drawn } from '../stock/service.ts';
import { addDone, findOrder } from './repo.ts';

export async function countDone(
  db: Database,
  id: string,
  count: number,
  authorId: string,
): Promise<{ order: Order; drawn: Drawn[] }> {
  return db.transaction(async (tx) => {
    const before = await findOrder(tx, id);
    if (!before) throw new HttpProblem('not-found', `There is no order "${id}".`);
    // Taking back more than was done gives back only what was.
    const real = Math.max(count, -before.done);
    const drawn = await drawForParts(tx, await seamsOfPart(tx, before.partId), real, authorId);
    const order = await addDone(tx, id, real, authorId);
    if (!order) throw new HttpProblem('not-found', `There is no order "${id}".`);
    return { order, drawn };
  });
}
