/** Taking parts back: what those very parts drew returns to where it came from, whatever is connected by now. */
import type { Executor } from '../../db/connection.ts';
import { gasOfContent, spoolLevel } from '@fox-tempo/core/consumption';
import { countsOfOrder } from './repo.ts';
import type { Draw } from './service.ts';

interface Batch {
  count: number;
  readonly draws: readonly Draw[];
  /** Parts that the movements were written for. */
  readonly of: number;
}

/** The last `parts` counted for an order that still stand, undone; `rest` are parts counted before movements were kept. */
export async function undoLast(db: Executor, orderId: string, parts: number): Promise<{ draws: Draw[]; rest: number }> {
  const rows = await countsOfOrder(db, orderId);
  const byCount = new Map<number, { count: number; draws: Draw[] }>();
  for (const { id, count, movement, cylinder, spool } of rows) {
    const entry = byCount.get(id) ?? { count, draws: [] };
    byCount.set(id, entry);
    if (!movement) continue;
    const { amount } = movement;
    if (cylinder) {
      const litres = gasOfContent(cylinder, -amount);
      entry.draws.push({
        what: cylinder.name,
        amount: litres,
        unit: 'L',
        movement: { cylinderId: cylinder.id, amount },
      });
    } else if (spool) {
      entry.draws.push({
        what: spool.name,
        amount: spoolLevel(-amount),
        unit: 'kg',
        movement: { spoolId: spool.id, amount },
      });
    }
  }
  const standing: Batch[] = [];
  const pop = (many: number, undo: (batch: Batch, some: number) => void) => {
    let left = many;
    for (let top = standing.at(-1); left > 0 && top; top = standing.at(-1)) {
      const some = Math.min(left, top.count);
      undo(top, some);
      top.count -= some;
      left -= some;
      if (top.count === 0) standing.pop();
    }
    return left;
  };
  for (const { count, draws } of byCount.values()) {
    if (count > 0) standing.push({ count, draws, of: count });
    else pop(-count, () => undefined);
  }
  const undone: Draw[] = [];
  let rest = 0;
  rest += pop(parts, (batch, some) => {
    if (batch.draws.length === 0) rest += some;
    for (const { what, amount, unit, movement } of batch.draws) {
      // Whole amounts were multiplied by whole parts, so the share is whole again.
      const share = Math.round((movement.amount / batch.of) * some);
      undone.push({ what, unit, amount: -(amount / batch.of) * some, movement: { ...movement, amount: -share } });
    }
  });
  return { draws: undone, rest };
}
