/** Feed and current by transfer mode, in both directions: feeds m/min, currents A, rates mm/s. */
import type { WireInGas } from '../../metal/arc/index.ts';
import { dipCurrentA, dipMeltRateMmPerS, meltRateMmPerS, steadyCurrentA } from '../../metal/melting/index.ts';
import { bracketedRoot } from '../../base/numeric/root.ts';
import { pulsedCurrentA, pulseFeedRange } from '../pulse/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import type { PlanMode } from './mode.ts';

/** Mean current of a mode without pulses at a feed: shorts in dip, a steady arc else. */
export function steadyCurrentOf(mode: PlanMode, wire: WireInGas, wireFeedMPerMin: number, extensionMm: number): number {
  const rate = wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN;
  return mode === 'dip' ? dipCurrentA(wire, rate, extensionMm) : steadyCurrentA(wire, rate, extensionMm);
}

/** Inverse of `steadyCurrentOf`. */
export function steadyFeedOf(mode: PlanMode, wire: WireInGas, currentA: number, extensionMm: number): number {
  const rate =
    mode === 'dip'
      ? dipMeltRateMmPerS(wire, currentA, extensionMm)
      : meltRateMmPerS(wire, currentA, currentA, extensionMm);
  return rate / MM_PER_S_PER_M_PER_MIN;
}

export interface ReferenceFeed {
  readonly feedMPerMin: number;
  /** Set when the wire cannot pulse the current asked for: the feed is then held at its nearest. */
  readonly held?: 'lowest' | 'highest';
}

/** The feed whose solved pulse has the mean current asked for, held inside what the wire can pulse; undefined when it pulses at no feed. */
export function pulsedFeedForCurrent(
  wire: WireInGas,
  extensionMm: number,
  currentA: number,
): ReferenceFeed | undefined {
  const miss = (feed: number) => pulsedCurrentA(wire, extensionMm, feed) - currentA;
  // A pulse melts more than a steady current of the same mean, by a tenth to a half.
  const steady = meltRateMmPerS(wire, currentA, currentA, extensionMm) / MM_PER_S_PER_M_PER_MIN;
  for (const above of [1.7, 1.35, 1.15]) {
    const near = bracketedRoot(miss, steady * 0.95, steady * above, 1e-7);
    if (near !== undefined) return { feedMPerMin: near };
  }
  const range = pulseFeedRange(wire, extensionMm);
  if (!range) return undefined;
  // A hair inside the range, so that rounding at its edges never turns into a refusal.
  const [from, to] = [range[0] * 1.001, range[1] * 0.999];
  // Between the last single drop and the first stream of drops there may be a hole; what would lie in it is held below it.
  const feed = bracketedRoot((at) => orBeyond(miss(at)), from, to, 1e-7);
  if (feed !== undefined)
    return Number.isNaN(miss(feed)) ? { feedMPerMin: feed * 0.999, held: 'highest' } : { feedMPerMin: feed };
  return miss(from) > 0 ? { feedMPerMin: from, held: 'lowest' } : { feedMPerMin: to, held: 'highest' };
}

/** More amps than any wire misses by, where the wire does not pulse. */
function orBeyond(missA: number): number {
  return Number.isNaN(missA) ? 1e4 : missA;
}
