/**
 * Where a run of pieces would be more arc in ten minutes than the rating plate allows at its rms current: the pause that each piece then needs. Handling
 * cools already; only what it does not cover is a pause.
 */
import { dutyFromPlate, type Machine } from '../../machine/description/index.ts';
import { rmsCurrentA } from '../../machine/dials/index.ts';
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
  const rmsA = rmsCurrentA(program);
  const allowedPercent = rmsA === undefined ? undefined : dutyFromPlate(limits.duty, rmsA);
  if (rmsA === undefined || allowedPercent === undefined) return null;
  const cycle = arcMinutes + handlingMinutes;
  const arcPercent = (100 * arcMinutes) / cycle;
  if (arcPercent <= allowedPercent) return null;
  return { rmsCurrentA: rmsA, arcPercent, allowedPercent, minutes: (100 * arcMinutes) / allowedPercent - cycle };
}
