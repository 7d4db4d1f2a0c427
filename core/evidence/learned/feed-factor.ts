/**
 * How much wire passed against what the rule asks for, by joint and position: in a position where this shop lays more or less than practice does, the next
 * seam there starts from what passed. A factor on the rule's feed, without any other learning in it.
 */
import { shrink, type Prior, type Shrunk } from './shrink.ts';

/** Spread of one passed setting about the shop's own, as a logarithm (assumed: 10 %). */
const settingSd = 0.1;
/** How far a joint in a position lies from the rule before anything passed there, as a logarithm (assumed). */
export const unknownFeed: Prior = { mean: 0, sd: 0.12 };
/** Between positions of one joint (assumed). */
const positionSd = 0.08;

export interface PassedSetting {
  /** Feed the rule asks for and the one that passed, m/min; both above zero. */
  readonly rule: number;
  readonly passed: number;
}

export interface FeedFactor extends Shrunk {
  readonly factor: number;
}

export function feedFactor(settings: readonly PassedSetting[], prior: Prior = unknownFeed): FeedFactor {
  const shrunk = shrink(
    settings.map(({ rule, passed }) => ({ value: Math.log(passed / rule), sd: settingSd })),
    prior,
  );
  return { ...shrunk, factor: Math.exp(shrunk.mean) };
}

/** What is known of a joint in one position before anything passed in it: its other positions, with more doubt. */
export function feedElsewhere(known: Shrunk): Prior {
  return { mean: known.mean, sd: Math.hypot(known.sd, positionSd) };
}

/** Feed to start from, m/min, to a tenth: what a dial and a hand can tell apart. */
export function feedToStart(ruleMPerMin: number, { factor }: Pick<FeedFactor, 'factor'>): number {
  return Math.round(10 * ruleMPerMin * factor) / 10;
}
