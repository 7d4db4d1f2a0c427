/** From the current a seam asks for to the feed that makes it, and what the welder's own pace makes of that. Feeds m/min, currents A. */
import type { WireInGas } from '../arc/index.ts';
import { areaForTravel, feedForArea, filletLegMm, travelForArea } from '../bead/index.ts';
import { meltRateMmPerS } from '../melting/index.ts';
import { bracketedRoot } from '../numeric/root.ts';
import { lowestPulseFeed, pulsedCurrentA, pulseFeedRange } from '../pulse/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../units/factors.ts';
import { coldestShare } from './input.ts';

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
  const lowest = lowestPulseFeed(wire, extensionMm);
  if (lowest !== undefined) {
    const from = lowest * 1.001;
    if (miss(from) >= 0) return { feedMPerMin: from, held: 'lowest' };
    const feed = bracketedRoot(miss, from, steady * 1.15, 1e-7);
    if (feed !== undefined) return { feedMPerMin: feed };
  }
  const range = pulseFeedRange(wire, extensionMm);
  if (!range) return undefined;
  // A hair inside the range, so that rounding at its edges never turns into a refusal.
  const [from, to] = [range[0] * 1.001, range[1] * 0.999];
  const feed = bracketedRoot(miss, from, to, 1e-7);
  if (feed !== undefined) return { feedMPerMin: feed };
  return miss(from) > 0 ? { feedMPerMin: from, held: 'lowest' } : { feedMPerMin: to, held: 'highest' };
}

export interface FeedProposal {
  readonly feedMPerMin: number;
  /** Set when the welder's pace would have been too cold and the feed was held up. */
  readonly tooSlow?: {
    /** What the pace alone would have asked for. */
    readonly wantedMPerMin: number;
    readonly travelMmPerMin: number;
    /** Fillet leg that the held feed lays at the welder's pace; ignores joints without a leg. */
    readonly legMm: number;
  };
  /** Share by which the pace asks for more wire than the thickness does, when that is over a quarter. */
  readonly excess?: number;
}

/** Feed for the welder's own pace: slow hands get less wire, but never less than 0.85 of the reference current. `currentAt` is NaN where there is none. */
export function proposeFeed(
  wire: WireInGas,
  currentAt: (feedMPerMin: number) => number,
  referenceFeed: number,
  areaMm2: number,
  gapMm: number,
  pace: number | undefined,
): FeedProposal {
  if (pace === undefined) return { feedMPerMin: referenceFeed };
  const wanted = feedForArea(wire, pace, areaMm2);
  if (wanted >= referenceFeed) {
    const excess = wanted / referenceFeed - 1;
    return { feedMPerMin: wanted, ...(excess > 0.25 ? { excess } : {}) };
  }
  const coldestA = currentAt(referenceFeed) * coldestShare;
  // NaN (no setting at so low a feed) counts as too cold.
  if (currentAt(wanted) >= coldestA) return { feedMPerMin: wanted };
  const low = Math.max(wanted, referenceFeed * 0.6);
  // Below what the mode can run there is no current; counting it as none keeps the crossing in the bracket.
  const running = (feed: number) => currentAt(feed) || 0;
  const feedMPerMin = bracketedRoot((feed) => running(feed) - coldestA, low, referenceFeed, 1e-7) ?? referenceFeed;
  return {
    feedMPerMin,
    tooSlow: {
      wantedMPerMin: wanted,
      travelMmPerMin: travelForArea(wire, feedMPerMin, areaMm2),
      legMm: filletLegMm(areaForTravel(wire, feedMPerMin, pace), gapMm),
    },
  };
}
