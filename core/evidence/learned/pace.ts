/** How fast this hand travels against what was planned: a factor on the planned travel, learned from timed seams. */
import { shrink, type Prior, type Shrunk } from './shrink.ts';

/** Spread of one seam's travel speed about the hand's own, as a logarithm (assumed: 12 %). */
const seamSd = 0.12;
/** A hand's start and stop of the watch together, s (assumed). */
const timingS = 0.7;
/** How far a travel speed lies from the plan before anything was seen, as a logarithm; the parts stack as squares (assumed). */
export const paceSpread = { shop: 0.08, welder: 0.1, position: 0.08 } as const;

/** Nothing known of this hand: the plan's travel speed, 15 % either way. */
export const unknownPace: Prior = { mean: 0, sd: 0.15 };

export interface TimedSeam {
  /** Travel the rule asked for, without any learning in it; any unit, the same for both. */
  readonly planned: number;
  readonly found: number;
  /** Seconds of arc it was timed over; left out where the time was the machine's own. */
  readonly arcS?: number | undefined;
}

export interface Pace extends Shrunk {
  /** Travel of this hand over planned travel. */
  readonly factor: number;
}

/** `planned` and `found` must be above zero. */
export function paceOf(seams: readonly TimedSeam[], prior: Prior = unknownPace): Pace {
  const shrunk = shrink(
    seams.map(({ planned, found, arcS }) => ({
      value: Math.log(found / planned),
      sd: arcS === undefined ? seamSd : Math.hypot(seamSd, timingS / arcS),
    })),
    prior,
  );
  return { ...shrunk, factor: Math.exp(shrunk.mean) };
}

/** What is known of a welder in one position before he was timed in it: his other positions, with the spread between positions added. */
export function paceElsewhere(known: Shrunk): Prior {
  return { mean: known.mean, sd: Math.hypot(known.sd, paceSpread.position) };
}
