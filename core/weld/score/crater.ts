/**
 * How long an end level has to be held to fill the crater: the hollow under the arc at the moment it stops,
 * half the pool's length deep in the bead's own section, filled at the end level's rate. Pool length 1.6 bead widths: assumed, ±40 %.
 */
import { message, amount, type Phrase, sum } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import { areaForTravel } from '../../setting/bead/travel.ts';
import type { Program } from '../../setting/program/index.ts';
import { feedMmPerS } from '../../base/units/convert.ts';

export interface CraterFill {
  readonly volumeMm3: number;
  readonly fillMm3PerS: number;
  readonly holdS: number;
  readonly bandS: readonly [number, number];
  readonly because: Phrase;
}

export const poolPerWidth = 1.6;
const bandShare = 0.4;

/** Bead width from its section as a fillet's: two legs and a convex face. mm. */
export function beadWidthMm(areaMm2: number): number {
  return Math.sqrt(2 * areaMm2) * Math.SQRT2;
}

export function craterFill(program: Program): CraterFill {
  const wire = wireInGas(program.filler, program.gas, program.diameterMm);
  const areaMm2 = areaForTravel(wire, program.wireFeedMPerMin, program.travelMmPerMin);
  const widthMm = beadWidthMm(areaMm2);
  const volumeMm3 = (areaMm2 * poolPerWidth * widthMm) / 2;
  const feed = (program.wireFeedMPerMin * program.sequence.endPercent) / 100;
  const fillMm3PerS = feedMmPerS(feed) * wire.areaMm2 * wire.yield;
  const holdS = volumeMm3 / fillMm3PerS;
  return {
    volumeMm3,
    fillMm3PerS,
    holdS,
    bandS: [holdS * (1 - bandShare), holdS * (1 + bandShare)],
    because: sum(
      message('trigger.because.crater', {
        area: amount('area', areaMm2, 1),
        beadWidth: amount('shortLength', widthMm, 1),
        poolLength: amount('shortLength', poolPerWidth * widthMm, 0),
        volume: amount('metalVolume', volumeMm3, 0),
        end: amount('percent', program.sequence.endPercent, 0),
        wireFeed: amount('wireFeed', program.wireFeedMPerMin, 1),
        fillRate: amount('metalRate', fillMm3PerS, 0),
        hold: amount('phaseTime', holdS, 1),
      }),
      amount('phaseTime', holdS, 1),
    ),
  };
}
