/** In which order seams on one plate wait least: the next one is always the one that may start soonest, and of equals the one farthest from the last. */
import { runOf, soak, timed, waitFor, type Run, type Soaked, type SoakInput, type SoakSeam } from './soak.ts';

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
  const ceilingK = (input.interpassC ?? Number.POSITIVE_INFINITY) - input.ambientC;
  while (left.size > 0) {
    const free = (runs.at(-1)?.endS ?? -betweenS) + betweenS;
    const next = [...left]
      .flatMap((at) => {
        const seam = input.seams[at];
        return seam ? [{ at, seam, waits: waitFor(input.plate, runs, seam, free, ceilingK) }] : [];
      })
      .map((one) => ({ ...one, far: fromLast(input, order, one.at) }))
      .sort((a, b) => (Math.abs(a.waits - b.waits) > 1 ? a.waits - b.waits : b.far - a.far || a.at - b.at))[0];
    if (!next) break;
    order.push(next.at);
    left.delete(next.at);
    runs.push(runOf(next.seam, free + next.waits));
  }
  return inOrder(input, swapped(input, order));
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
  const endOf = (order: readonly number[]) =>
    timed({ ...input, seams: oneAfterTheOther(input, order) }).runs.at(-1)?.endS ?? 0;
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

function secondsOf({ from, to, travelMmPerMin }: SoakSeam): number {
  return Math.hypot(to[0] - from[0], to[1] - from[1]) / (travelMmPerMin / 60);
}

/** One thermometer reading: by how much all warmth is off, measured over predicted. */
export function correctionBy(
  soaked: Soaked,
  ambientC: number,
  reading: { readonly atMm: readonly [number, number]; readonly atS: number; readonly tempC: number },
): number {
  const predicted = soaked.tempAt(reading.atMm[0], reading.atMm[1], reading.atS) - ambientC;
  // A place that is still cold says nothing of the rest.
  return predicted < leastRiseK ? 1 : Math.max((reading.tempC - ambientC) / predicted, 0.2);
}
const leastRiseK = 5;
