/** Trials as evidence for a window: where each was welded, read off its dials, and which corners that reaches. */
import { readDials } from '../../machine/dials/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import type { Range, Window } from './window.ts';

export interface Welded {
  readonly wireFeedMPerMin: number;
  readonly trimMm: number;
  readonly verdict: 'pass' | 'fail' | 'open';
}

export interface WeldedCorner {
  readonly wireFeedMPerMin: number;
  readonly trimMm: number;
  readonly passed: number;
  readonly failed: number;
}

/** A weld speaks for a corner from the outer third of the window in both directions. */
const outer = 1 / 3;

/** Feed and arc of a trial as its dials stood; undefined where they do not say them. */
export function weldedAt(
  machine: Machine,
  program: Program,
  dials: Readonly<Record<string, number>>,
): { readonly wireFeedMPerMin: number; readonly trimMm: number } | undefined {
  const { filler, diameterMm, gas, ctwdMm, travelMmPerMin } = program;
  const read = readDials(machine, dials, { loaded: { filler, diameterMm, gas }, ctwdMm, travelMmPerMin });
  if (!read.ok || !read.value.read.includes('wireFeedMPerMin')) return undefined;
  const { wireFeedMPerMin, trimMm } = read.value.program;
  return { wireFeedMPerMin, trimMm };
}

/** The corners over feed and trim, each with the trials that speak for or against it. */
export function weldedCorners({ wireFeedMPerMin, trimMm }: Window, welds: readonly Welded[]): WeldedCorner[] {
  if (!wireFeedMPerMin || !trimMm) return [];
  const reaches = ([low, high]: Range, end: number, value: number) => {
    const share = (value - low) / Math.max(high - low, 1e-9);
    return end === low ? share <= outer : share >= 1 - outer;
  };
  return trimMm.flatMap((trim) =>
    wireFeedMPerMin.map((feed) => {
      const here = welds.filter(
        (weld) => reaches(wireFeedMPerMin, feed, weld.wireFeedMPerMin) && reaches(trimMm, trim, weld.trimMm),
      );
      return {
        wireFeedMPerMin: feed,
        trimMm: trim,
        passed: here.filter(({ verdict }) => verdict === 'pass').length,
        failed: here.filter(({ verdict }) => verdict === 'fail').length,
      };
    }),
  );
}
