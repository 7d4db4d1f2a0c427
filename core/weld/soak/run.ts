/** A seam as it is asked for, and as it is welded: from where, how fast, from when to when. */
import type { Place } from './shapes.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

export interface SoakSeam {
  readonly from: Place;
  /** On the same face as `from`; the same place where the arc goes around a joint. */
  readonly to: Place;
  /** Of the weld, where it is not the straight line between its ends. */
  readonly lengthMm?: number | undefined;
  readonly travelMmPerMin: number;
  /** Into the part, W. */
  readonly powerW: number;
  readonly startAtS: number;
}

/** One seam as it is welded. */
export interface Run {
  readonly from: Place;
  readonly velocity: readonly [number, number];
  readonly mmPerS: number;
  readonly powerW: number;
  readonly startS: number;
  readonly endS: number;
  readonly lengthMm: number;
}

export function runOf(seam: SoakSeam, startS: number): Run {
  const { from, to, travelMmPerMin, powerW } = seam;
  const lengthMm = lengthOf(seam);
  const mmPerS = travelMmPerS(travelMmPerMin);
  const seconds = lengthMm / mmPerS;
  return {
    from,
    velocity: [(to[0] - from[0]) / seconds, (to[1] - from[1]) / seconds],
    mmPerS,
    powerW,
    startS,
    endS: startS + seconds,
    lengthMm,
  };
}

/** Of the weld, mm. */
export function lengthOf({ from, to, lengthMm }: SoakSeam): number {
  return lengthMm ?? Math.hypot(to[0] - from[0], to[1] - from[1]);
}

/** Where the arc is, or would be. */
export function placeOf({ from, velocity, startS }: Run, atS: number): Place {
  const since = atS - startS;
  return [from[0] + velocity[0] * since, from[1] + velocity[1] * since, from[2] ?? 0];
}
