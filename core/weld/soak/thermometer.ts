/** One reading of a thermometer against the field: by how much all warmth is off, or why it cannot be of this place and moment. */
import type { Place } from './shapes.ts';
import type { Soaked } from './soak.ts';

export interface HeatReading {
  readonly atMm: Place;
  readonly atS: number;
  readonly tempC: number;
}

export type ReadingVerdict =
  /** All warmth times this factor. */
  | { readonly says: 'factor'; readonly factor: number; readonly predictedC: number }
  /** A place that is still cold says nothing of the rest. */
  | { readonly says: 'nothing'; readonly predictedC: number }
  /** Beyond what the arc or the part can be off by: another place, another moment, another part. `warmAtS`: when this place is so warm. */
  | { readonly says: 'contradicts'; readonly predictedC: number; readonly warmAtS: number | null };

const leastRiseK = 5;
/** The share of the arc that goes into the part, its power and its thickness are not off by more together. */
export const believed = [0.6, 1.7] as const;
/** Moments looked at for one that would fit. */
const moments = 120;
const halvings = 8;

/** `untilS`: how long the place is looked at for a moment that fits. */
export function readingAgainst(soaked: Soaked, ambientC: number, reading: HeatReading, untilS: number): ReadingVerdict {
  const { atMm, atS, tempC } = reading;
  const predictedC = soaked.tempAt(atMm, atS);
  const rise = tempC - ambientC;
  const predicted = predictedC - ambientC;
  if (predicted < leastRiseK && rise < leastRiseK) return { says: 'nothing', predictedC };
  const factor = rise / Math.max(predicted, 1e-9);
  if (predicted >= leastRiseK && factor >= believed[0] && factor <= believed[1])
    return { says: 'factor', factor, predictedC };
  return { says: 'contradicts', predictedC, warmAtS: warmAt(soaked, reading, untilS) };
}

/** The moment nearest to the one named at which the place is as warm as was read; null where it never is. */
function warmAt(soaked: Soaked, { atMm, atS, tempC }: HeatReading, untilS: number): number | null {
  const off = (time: number) => soaked.tempAt(atMm, time) - tempC;
  const looked = Array.from({ length: moments + 1 }, (_, at) => {
    const time = (untilS * at) / moments;
    return { time, off: off(time) };
  });
  const crossed = looked.flatMap((one, at) => {
    const before = looked[at - 1];
    return before && before.off * one.off <= 0 && before.off !== one.off ? [{ from: before, to: one }] : [];
  });
  const nearest = crossed.sort((a, b) => Math.abs(a.to.time - atS) - Math.abs(b.to.time - atS))[0];
  if (!nearest) return null;
  // An arc that passes warms a place within a second: the crossing is halved, not drawn straight.
  let [low, high] = [nearest.from.time, nearest.to.time];
  for (let halving = 0; halving < halvings; halving++) {
    const middle = (low + high) / 2;
    if (off(middle) * nearest.from.off > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
