/** What of a score's paper is seen: a window that zooms and scrolls over the time map, and the ticks that fit it. */
import type { TimeMap } from '@fox-tempo/core/weld/score';

/** What of the paper is seen: from a place, at a scale. */
export interface Window {
  readonly from: number;
  readonly pxPerS: number;
}

export function fitted(map: TimeMap, widthPx: number): Window {
  return { from: 0, pxPerS: widthPx / Math.max(map.room, 0.1) };
}

/** Zoomed about a pixel, kept within the paper; never smaller than the whole, never closer than 20 ms across. */
export function zoomed(now: Window, by: number, aboutPx: number, map: TimeMap, widthPx: number): Window {
  const least = widthPx / Math.max(map.room, 0.1);
  const pxPerS = Math.min(Math.max(now.pxPerS * by, least), widthPx / 0.02);
  const under = now.from + aboutPx / now.pxPerS;
  return held({ pxPerS, from: under - aboutPx / pxPerS }, map, widthPx);
}

/** Scrolled to where it does not leave the paper. */
export function held(now: Window, map: TimeMap, widthPx: number): Window {
  const seen = widthPx / now.pxPerS;
  return { ...now, from: Math.min(Math.max(now.from, 0), Math.max(map.room - seen, 0)) };
}

/** Distance of ticks so that their figures do not touch: 1, 2 or 5 times a power of ten. */
export function tickStep(pxPerUnit: number, leastPx = 64): number {
  const least = leastPx / pxPerUnit;
  const power = 10 ** Math.floor(Math.log10(least));
  return ([1, 2, 5, 10].find((step) => step * power >= least) ?? 10) * power;
}
