/** The root of a prepared edge is run colder than the fill: its own feed, current, volts and travel speed for the same area. */
import type { WireInGas } from '../../metal/arc/index.ts';
import { travelForArea } from '../bead/index.ts';
import { pulsedFeedForCurrent, steadyFeedOf } from './feed.ts';
import type { PlanInput } from './input.ts';
import type { ModeModel } from './mode-model.ts';
import { isPulsed } from './mode.ts';
import { rootCurrentShare, type PassSetting } from './passes.ts';
import { isGroove } from './preparation.ts';
import { leastCurrentA } from './wanted.ts';

/** The feed at which the mode has a current, m/min, as near as it can; `otherwise` where it has none. */
export function feedForCurrent(
  { mode }: PlanInput,
  wire: WireInGas,
  model: ModeModel,
  currentA: number,
  otherwise: number,
): number {
  if (!isPulsed(mode)) return steadyFeedOf(mode, wire, currentA, model.extensionMm);
  return pulsedFeedForCurrent(wire, model.extensionMm, currentA)?.feedMPerMin ?? otherwise;
}

/** Null where the seam has no root of its own, or the mode cannot run it colder: it is then run as the fill. */
export function rootSetting(
  input: PlanInput,
  wire: WireInGas,
  model: ModeModel,
  fill: PassSetting,
  passes: number,
  passAreaMm2: number,
): PassSetting | null {
  if (passes < 2 || !isGroove(input.seam.preparation)) return null;
  const leastA = Math.min(leastCurrentA(input.mode, wire), fill.meanCurrentA);
  const currentA = Math.max(rootCurrentShare(input.seam) * fill.meanCurrentA, leastA);
  const feed = feedForCurrent(input, wire, model, currentA, fill.wireFeedMPerMin);
  const point = model.at(feed);
  if (!point) return null;
  return {
    wireFeedMPerMin: feed,
    meanCurrentA: point.meanA,
    voltageV: point.voltageV,
    travelMmPerMin: travelForArea(wire, feed, passAreaMm2),
  };
}
