/**
 * Where a run of pieces would be more arc in ten minutes than the rating plate allows at its rms current: the pause that each piece then needs. Handling
 * cools already; only what it does not cover is a pause.
 */
import { dutyFromPlate } from '../consumption/index.ts';
import { arcOf, type Machine } from '../machine/index.ts';
import { pulseMeans } from '../pulse/index.ts';
import { handlingMinutes, type DayJob } from './day-plan.ts';

export interface Pause {
  readonly rmsCurrentA: number;
  /** Share of arc in the run, and what the plate allows; percent. */
  readonly arcPercent: number;
  readonly allowedPercent: number;
  /** To wait after each piece, minutes. */
  readonly minutes: number;
}

/** Null where the plate allows it, or says nothing. */
export function pauseOn(
  { limits }: Machine,
  { program, arcMinutes }: Pick<DayJob, 'program' | 'arcMinutes'>,
): Pause | null {
  const rmsCurrentA = program.pulse
    ? pulseMeans(program.pulse).rmsA
    : arcOf(program, program.ctwdMm, program.trimMm).currentAt(program.wireFeedMPerMin);
  const allowedPercent = rmsCurrentA === undefined ? undefined : dutyFromPlate(limits.duty, rmsCurrentA);
  if (rmsCurrentA === undefined || allowedPercent === undefined) return null;
  const cycle = arcMinutes + handlingMinutes;
  const arcPercent = (100 * arcMinutes) / cycle;
  if (arcPercent <= allowedPercent) return null;
  return { rmsCurrentA, arcPercent, allowedPercent, minutes: (100 * arcMinutes) / allowedPercent - cycle };
}
