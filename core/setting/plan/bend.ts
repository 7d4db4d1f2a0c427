/**
 * The least-bending setting: three wishes (current, travel, area) rarely meet, because travel = feed x wire area x yield / area exactly.
 * Each wish costs [max(0, |d| - free)² + 0.02 d²] / spread² with d = ln(value / wish); the sum is least over feed and area.
 * The best area for a feed is closed form; over the feed the sum is convex, and the current is a smooth function of it, so that a few
 * evaluations of the current (each a pulse to solve) are enough.
 */
import { bracketedRoot } from '../../base/numeric/root.ts';
import type { Give } from './wishes.ts';

export interface Wish extends Give {
  /** Natural logarithm of what is wished. */
  readonly log: number;
}

export interface BendProblem {
  readonly current: Wish;
  readonly travel: Wish;
  /** A spread of 0 is exact. */
  readonly area: Wish;
  /** ln of (feed m/min to mm³/min of metal): feed x 1000 x wire area x yield. */
  readonly logMetalPerFeed: number;
  /** Mean current (A) at a feed (m/min); undefined where the mode has none. */
  readonly currentAt: (feedMPerMin: number) => number | undefined;
  /** Lowest and highest feed the mode has; asked only when a trial fell outside. */
  readonly limits: () => readonly [number, number] | undefined;
  /** Where to look first, m/min. */
  readonly startFeedMPerMin: number;
  /** Least share of the wished current. */
  readonly leastCurrentShare: number;
}

export interface Bend {
  readonly feedMPerMin: number;
  readonly areaMm2: number;
  /** Where the wire could give no less or no more. */
  readonly held?: 'lowest' | 'highest';
  /** False where the search was given up before two steps agreed; feed and area are then no answer. */
  readonly converged: boolean;
}

const quadraticShare = 0.02;
/** Steps of the outer search; each costs one current. Nine plans in ten take no more than seven. */
const mostSteps = 30;
/** Of ln feed, between two steps. */
const closeEnough = 1e-7;
/** The current is itself solved, to some 1e-6: a search that has taken this many steps is only following its last digits. */
const finely = { steps: 9, closeEnough: 1e-4 };

/** The area that bends least at a fixed feed: ln of it. Closed form: the slope of the cost is piecewise linear and rising. */
export function bestLogArea(travel: Wish, area: Wish, logMetal: number): number {
  if (area.spread === 0) return area.log;
  // d of area runs from x, d of travel is then total - x.
  const total = logMetal - travel.log - area.log;
  const slope = (x: number) => slopeOf(area, x) - slopeOf(travel, total - x);
  // Outside the corners of both costs the slope goes on straight; between two of them it is straight as well.
  let [from, to] = [-10, 10];
  for (const corner of [-area.free, area.free, total - travel.free, total + travel.free]) {
    if (slope(corner) < 0) from = Math.max(from, corner);
    else to = Math.min(to, corner);
  }
  const [low, high] = [slope(from), slope(to)];
  const x = high === low ? from : from - (low * (to - from)) / (high - low);
  return area.log + x;
}

/** Feed and area that bend the wishes least, or undefined where the mode has no feed at all. */
export function leastBending(problem: BendProblem): Bend | undefined {
  const { current, travel, area, logMetalPerFeed } = problem;
  let bounds: readonly [number, number] | undefined;
  let x = Math.log(problem.startFeedMPerMin);
  let amps = problem.currentAt(problem.startFeedMPerMin);
  if (amps === undefined) {
    bounds = problem.limits();
    if (!bounds) return undefined;
    x = Math.min(Math.max(x, Math.log(bounds[0])), Math.log(bounds[1]));
    amps = problem.currentAt(Math.exp(x));
    if (amps === undefined) return undefined;
  }
  let y = Math.log(amps);
  let rise = 0.8;
  let lastMove = 0;
  let converged = false;
  const areaAt = (at: number) => bestLogArea(travel, area, at + logMetalPerFeed);
  for (let step = 0; step < mostSteps; step++) {
    const [fromX, fromY, slope] = [x, y, rise];
    const gradient = (at: number) =>
      slope * slopeOf(current, fromY + slope * (at - fromX) - current.log) +
      slopeOf(travel, at + logMetalPerFeed - areaAt(at) - travel.log);
    // Never colder than the least share of the wish, whatever the other two ask for.
    const coldest = fromX + (current.log + Math.log(problem.leastCurrentShare) - fromY) / slope;
    let wanted = Math.max(risingRoot(gradient, fromX - 1.5, fromX + 1.5), coldest);
    if (bounds) wanted = Math.min(Math.max(wanted, Math.log(bounds[0])), Math.log(bounds[1]));
    const isLate = step >= finely.steps;
    converged = Math.abs(wanted - fromX) < (isLate ? finely.closeEnough : closeEnough);
    if (converged) break;
    // At a kink of the current (another regime of transfer) the steps may jump to and fro: half of one lies between.
    if (isLate && (wanted - fromX) * lastMove < 0) wanted = (wanted + fromX) / 2;
    let next = problem.currentAt(Math.exp(wanted));
    if (next === undefined) {
      bounds ??= problem.limits();
      if (!bounds) return undefined;
      wanted = Math.min(Math.max(wanted, Math.log(bounds[0])), Math.log(bounds[1]));
      next = problem.currentAt(Math.exp(wanted));
      if (next === undefined) return undefined;
    }
    lastMove = wanted - fromX;
    x = wanted;
    y = Math.log(next);
    if (Math.abs(x - fromX) > 1e-9) rise = Math.min(Math.max((y - fromY) / (x - fromX), 0.3), 2);
  }
  const atEnd = (end: number | undefined) => end !== undefined && Math.abs(x - Math.log(end)) < 1e-6;
  return {
    feedMPerMin: Math.exp(x),
    areaMm2: Math.exp(areaAt(x)),
    converged,
    ...(atEnd(bounds?.[0]) ? { held: 'lowest' as const } : atEnd(bounds?.[1]) ? { held: 'highest' as const } : {}),
  };
}

/** Slope of one wish's cost at d. */
function slopeOf({ free, spread }: Give, d: number): number {
  const beyond = d > free ? d - free : d < -free ? d + free : 0;
  return (2 * (beyond + quadraticShare * d)) / (spread * spread);
}

/** Root of a rising function; the nearer end where it does not cross. */
function risingRoot(f: (x: number) => number, low: number, high: number): number {
  return bracketedRoot(f, low, high, 1e-10) ?? (f(low) > 0 ? low : high);
}
