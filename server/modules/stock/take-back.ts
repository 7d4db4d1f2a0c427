/** Taking parts back: what those very parts drew returns to where it came from, whatever is connected by now. */
import type { Executor } from '../../db/connection.ts';
import { gasOfContent, spoolLevel } from '@fox-tempo/core/day/consumption';
import { countsOfOrder, type Movement } from './repo.ts';
import type { Draw } from './service.ts';

interface Standing {
  readonly what: string;
  readonly unit: Draw['unit'];
  readonly movement: Movement;
  readonly shown: (amount: number) => number;
  readonly seamId: string | undefined;
  /** What of it was not taken back yet, and the welds it stands for. */
  amount: number;
  welds: number;
}

/** Parts counted at once that still stand. */
interface Batch {
  count: number;
  readonly draws: Standing[];
  /** Logged welds that went into them, by seam; undefined where parts were counted before welds were logged. */
  readonly consumed: Record<string, number> | undefined;
}

export interface Undone {
  readonly draws: Draw[];
  /** Parts counted before movements were kept. */
  readonly rest: number;
  /** Logged welds that stand free again, by seam. */
  readonly freed: Record<string, number>;
}

/** What a count wrote down beside each of its movements. */
type Kept = { readonly seamId: string; readonly count: number } | null;

/** The last `parts` counted for an order that still stand, undone. */
export async function undoLast(db: Executor, orderId: string, parts: number): Promise<Undone> {
  const batches = new Map<number, Batch>();
  for (const { id, count, body, movement, cylinder, spool } of await countsOfOrder(db, orderId)) {
    const batch = batches.get(id) ?? {
      count,
      draws: [],
      consumed: body['consumed'] ? { ...(body['consumed'] as Record<string, number>) } : undefined,
    };
    batches.set(id, batch);
    if (!movement) continue;
    const { amount } = movement;
    const of = (body['welds'] as Kept[] | undefined)?.[batch.draws.length];
    // Movements of older counts do not say their seam: they stand for every part of them.
    const stands = { seamId: of?.seamId, welds: of?.count ?? count, amount };
    if (cylinder)
      batch.draws.push({
        what: cylinder.name,
        unit: 'L',
        movement: { cylinderId: cylinder.id, amount },
        shown: (content) => gasOfContent(cylinder, content),
        ...stands,
      });
    else if (spool)
      batch.draws.push({
        what: spool.name,
        unit: 'kg',
        movement: { spoolId: spool.id, amount },
        shown: spoolLevel,
        ...stands,
      });
  }
  const standing: Batch[] = [];
  for (const batch of batches.values()) {
    if (batch.count > 0) standing.push(batch);
    else pop(standing, -batch.count);
  }
  return pop(standing, parts);
}

/** Takes `parts` off the top. What was taken back before is replayed by the same sum, so that all of it together is all that was drawn. */
function pop(standing: Batch[], parts: number): Undone {
  const draws: Draw[] = [];
  const freed: Record<string, number> = {};
  let rest = 0;
  let left = parts;
  for (let top = standing.at(-1); left > 0 && top; top = standing.at(-1)) {
    const some = Math.min(left, top.count);
    if (top.draws.length === 0 && top.consumed === undefined) rest += some;
    // Parts that were drawn from stock are taken back before those that were logged.
    const loggedBack = (welds: number) => Math.max(welds - (top.count - some), 0);
    for (const draw of top.draws) {
      const logged = draw.seamId === undefined ? 0 : (top.consumed?.[draw.seamId] ?? 0);
      const welds = some - loggedBack(logged);
      if (welds === 0) continue;
      const share = Math.round((draw.amount * welds) / draw.welds);
      draw.amount -= share;
      draw.welds -= welds;
      draws.push({
        what: draw.what,
        unit: draw.unit,
        amount: draw.shown(share),
        movement: { ...draw.movement, amount: -share },
      });
    }
    for (const [seamId, welds] of Object.entries(top.consumed ?? {})) {
      const back = loggedBack(welds);
      if (back === 0) continue;
      freed[seamId] = (freed[seamId] ?? 0) + back;
      if (top.consumed) top.consumed[seamId] = welds - back;
    }
    top.count -= some;
    left -= some;
    if (top.count === 0) standing.pop();
  }
  return { draws, rest: rest + left, freed };
}
