/** What follows at once from seconds and millimetres. */
import { migEfficiency } from '../../setting/heat-input/index.ts';
import type { Timer, TrialTiming } from './record.ts';
import { thousandth } from '../../base/units/convert.ts';

/** Error of a timed weld, s, start and stop together (assumed): a helper's two taps, seconds told afterwards, the machine's own arc time, the stand-in's trigger. */
export const timerErrorS: Readonly<Record<Timer, number>> = { helper: 0.7, typed: 1, machine: 0.1, 'stand-in': 0.05 };

export interface TimedFigures {
  readonly travelMmPerMin: number;
  /** One standard error of the travel, mm/min. */
  readonly errorMmPerMin: number;
  /** With the planned power; null where it is not known. */
  readonly heatInputKjPerMm: number | null;
  /** Distance between two ripples of a slow beat, mm; null without one. */
  readonly rippleMm: number | null;
}

/** Source: travel = length over time; heat input per ISO/TR 17671-1 with the usual efficiency. */
export function timedFigures(
  { seconds, lengthMm, by }: TrialTiming,
  { powerW, beatHz }: { readonly powerW?: number | undefined; readonly beatHz?: number | undefined },
): TimedFigures {
  const mmPerS = lengthMm / seconds;
  return {
    travelMmPerMin: 60 * mmPerS,
    errorMmPerMin: (60 * mmPerS * timerErrorS[by]) / seconds,
    heatInputKjPerMm: powerW === undefined ? null : thousandth((migEfficiency * powerW) / mmPerS),
    rippleMm: beatHz === undefined ? null : mmPerS / beatHz,
  };
}
