/** In which order seams on one part wait least: the next one is always the one that may start soonest, and of equals the one farthest from the last. */
import { marchOver } from './march.ts';
import { partOf } from './parts.ts';
import { lengthOf, runOf, type Run, type SoakSeam } from './run.ts';
import { soak, timed, waitFor, type Soaked, type SoakInput } from './soak.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

export interface OrderedSoak {
  /** Places in the list that was given. */
  readonly order: readonly number[];
  readonly soaked: Soaked;
  /** From the first arc to the last, s, and how much of it is waiting. */
  readonly endsAtS: number;
  readonly waitS: number;
}

/** Changeovers of the hand between two seams, s (assumed). */
export const betweenS = 10;
/** Swaps tried after the first order was found. */
const mostSwaps = 30;

/** Each begins when the one before it has ended and the hand has moved over. */
export function inOrder(input: SoakInput, order: readonly number[]): OrderedSoak {
  const soaked = soak({ ...input, seams: oneAfterTheOther(input, order) });
  return {
    order,
    soaked,
    endsAtS: soaked.seams.at(-1)?.endAtS ?? 0,
    waitS: soaked.seams.reduce((sum, { waitS }) => sum + waitS, 0),
  };
}

export function bestOrder(input: SoakInput): OrderedSoak {
  const left = new Set(input.seams.map((_, at) => at));
  const order: number[] = [];
  const runs: Run[] = [];
  const part = partOf(input.part, true);
  const march = marchOver(part, runs);
  const ceilingK = (input.interpassC ?? Number.POSITIVE_INFINITY) - input.ambientC;
  while (left.size > 0) {
    const free = (runs.at(-1)?.endS ?? -betweenS) + betweenS;
    const next = [...left]
      .flatMap((at) => {
        const seam = input.seams[at];
        return seam ? [{ at, seam, waits: waitFor(part, march, runs, seam, free, ceilingK) }] : [];
      })
      .map((one) => ({ ...one, far: fromLast(input, order, one.at) }))
      .sort((a, b) => (Math.abs(a.waits - b.waits) > 1 ? a.waits - b.waits : b.far - a.far || a.at - b.at))[0];
    if (!next) break;
    order.push(next.at);
    left.delete(next.at);
    runs.push(runOf(next.seam, free + next.waits));
  }
  const found = inOrder(input, swapped(input, order));
  // Judged on the fine part: what the comparison found may be worth nothing there.
  const listed = inOrder(
    input,
    input.seams.map((_, at) => at),
  );
  return listed.endsAtS < found.endsAtS - 0.5 ? listed : found;
}

function oneAfterTheOther(input: SoakInput, order: readonly number[]): SoakSeam[] {
  let clock = 0;
  return order.flatMap((at) => {
    const seam = input.seams[at];
    if (!seam) return [];
    const startAtS = clock;
    clock += secondsOf(seam) + betweenS;
    return [{ ...seam, startAtS }];
  });
}

/** Two seams turned about, as long as it ends sooner. */
function swapped(input: SoakInput, from: readonly number[]): readonly number[] {
  const part = partOf(input.part, true);
  const endOf = (order: readonly number[]) =>
    timed({ ...input, seams: oneAfterTheOther(input, order) }, part).runs.at(-1)?.endS ?? 0;
  let best = from;
  let bestEnd = endOf(from);
  let tries = 0;
  for (let i = 0; i < from.length - 1; i++)
    for (let j = i + 1; j < from.length && tries < mostSwaps; j++, tries++) {
      const order = [...best];
      [order[i], order[j]] = [order[j] ?? 0, order[i] ?? 0];
      const end = endOf(order);
      if (end < bestEnd - 0.5) [best, bestEnd] = [order, end];
    }
  return best;
}

function fromLast({ seams }: SoakInput, order: readonly number[], at: number): number {
  const last = seams[order.at(-1) ?? -1];
  const next = seams[at];
  return last && next ? Math.hypot(next.from[0] - last.to[0], next.from[1] - last.to[1]) : 0;
}

function secondsOf(seam: SoakSeam): number {
  return lengthOf(seam) / travelMmPerS(seam.travelMmPerMin);
}
