/** Whether a machine can weld a program: what it can be told, and what it gives. A machine is planned for nothing else. */
import { sameSizeMm } from '../../metal/consumables/index.ts';
import { dutyFromPlate } from '../description/index.ts';
import { isPulsed } from '../../setting/plan/index.ts';
import { pulseMeans } from '../../setting/pulse/index.ts';
import { arcOf } from './arc-of.ts';
import { chartLineFor } from '../description/chart.ts';
import type { Machine } from '../description/machine.ts';
import type { DialQuantity } from '../description/quantities.ts';
import { isNumeric, quantityOf } from '../description/scales.ts';
import type { Program } from '../../setting/program/program.ts';

/** What a description still lacks before anything can be planned on the machine. */
export const missingParts = ['no-dials', 'no-feed-dial', 'no-chart'] as const;
export type MissingPart = (typeof missingParts)[number];

/** Why a machine cannot weld a program; the first are of its description, the others of the program on it. */
export type CannotWeld = MissingPart | 'wire-size' | 'chart' | 'feed' | 'current' | 'duty';

/** Dials that say how much wire runs. */
const feedQuantities: ReadonlySet<DialQuantity> = new Set([
  'wireFeedMPerMin',
  'meanCurrentA',
  'chartThicknessMm',
  'beatHighFeedMPerMin',
]);
/** A machine whose plate allows less arc than this at a current is not made for it, percent of ten minutes; assumed. */
const leastDutyPercent = 10;

/** What the description lacks for any weld; a pulse is a line of the chart, so without a chart there is nothing to pulse by. */
export function missingOf({ dials, chartLines }: Pick<Machine, 'dials' | 'chartLines'>): MissingPart[] {
  if (dials.length === 0) return ['no-dials'];
  // A dial whose unit nobody measured can be turned, not told.
  const carries = (wanted: (quantity: DialQuantity) => boolean) =>
    dials.some(({ scale, unitTested }) => isNumeric(scale) && unitTested !== false && wanted(quantityOf(scale)));
  return [
    ...(carries((quantity) => feedQuantities.has(quantity)) ? [] : (['no-feed-dial'] as const)),
    ...(chartLines.length > 0 ? [] : (['no-chart'] as const)),
  ];
}

/** null: it can. */
export function whyNot(machine: Machine, program: Program): CannotWeld | null {
  const { limits, chartLines } = machine;
  // Without a chart a machine can still be set for dip and spray, by feed and volts.
  const [missing] = missingOf(machine).filter((part) => part !== 'no-chart' || isPulsed(program.mode));
  if (missing) return missing;
  if (limits.wireSizesMm && !limits.wireSizesMm.some((size) => Math.abs(size - program.diameterMm) < sameSizeMm))
    return 'wire-size';
  if (chartLines.length > 0 && chartLineFor(chartLines, program) === undefined) return 'chart';
  const [least, most] = limits.wireFeedMPerMin;
  const { wireFeedMPerMin, slowBeat } = program;
  const feeds = slowBeat ? [slowBeat.lowFeedMPerMin, slowBeat.highFeedMPerMin] : [wireFeedMPerMin];
  if (feeds.some((feed) => feed < least || feed > most)) return 'feed';
  const rmsA = rmsCurrentA(program);
  if (rmsA === undefined) return null;
  if (rmsA > limits.peakCurrentA) return 'current';
  return (dutyFromPlate(limits.duty, rmsA) ?? 100) < leastDutyPercent ? 'duty' : null;
}

/** Effective current of a program, A; undefined where its wire has none at that feed. */
export function rmsCurrentA(program: Program): number | undefined {
  return program.pulse
    ? pulseMeans(program.pulse).rmsA
    : arcOf(program, program.ctwdMm, program.trimMm).currentAt(program.wireFeedMPerMin);
}
