/** What wire, gas and mode of a program make of a feed: current, line and volts. Shared by everything that says or reads a setting. */
import {
  arcElectrical,
  correctedWire,
  pulseLineMm,
  wireInGas,
  type WireCorrection,
  type WireInGas,
} from '../../metal/arc/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import {
  dipArcMm,
  dipVoltageV,
  isPulsed,
  pulsedFeedForCurrent,
  sprayArcMm,
  steadyCurrentOf,
  steadyFeedOf,
  type PlanMode,
} from '../../setting/plan/index.ts';
import { pulsedCurrentA, pulseMeans, solveDefaultPulse } from '../../setting/pulse/index.ts';

export interface WireAndMode {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly mode: PlanMode;
}

export interface ArcOf {
  readonly wire: WireInGas;
  /** Arc length of the line, mm. */
  readonly lineMm: number;
  /** Mean current (A) at a feed (m/min); undefined where the mode has no such feed. */
  currentAt(feedMPerMin: number): number | undefined;
  feedAt(currentA: number): number | undefined;
  /** Mean volts at the contact tip when the arc sits on the line; undefined where the mode has no such feed. */
  lineVoltsAt(feedMPerMin: number): number | undefined;
}

/** `trimMm` is where the arc sits; the wire extension is what is left of the stick-out. */
export function arcOf(
  { filler, gas, diameterMm, mode }: WireAndMode,
  ctwdMm: number,
  trimMm: number,
  correction?: WireCorrection,
): ArcOf {
  const wire = correctedWire(wireInGas(filler, gas, diameterMm), correction);
  const lineMm = lineOf(wire, mode);
  const extensionMm = Math.max(ctwdMm - lineMm - trimMm, 3);
  const steady = (feed: number) => steadyCurrentOf(mode, wire, feed, extensionMm);
  if (!isPulsed(mode)) {
    return {
      wire,
      lineMm,
      currentAt: (feed) => (feed > 0 ? steady(feed) : undefined),
      feedAt: (current) => (current > 0 ? steadyFeedOf(mode, wire, current, extensionMm) : undefined),
      lineVoltsAt: (feed) => {
        const current = steady(feed);
        return mode === 'dip'
          ? dipVoltageV(wire, current)
          : arcElectrical(wire, current, current, lineMm, extensionMm, 0).meanVoltageV;
      },
    };
  }
  return {
    wire,
    lineMm,
    currentAt: (feed) => {
      const current = pulsedCurrentA(wire, extensionMm, feed);
      return Number.isNaN(current) ? undefined : current;
    },
    feedAt: (current) => {
      const found = pulsedFeedForCurrent(wire, extensionMm, current);
      return found?.held === undefined ? found?.feedMPerMin : undefined;
    },
    lineVoltsAt: (feed) => {
      const pulse = solveDefaultPulse(wire, extensionMm, feed);
      if (typeof pulse === 'string') return undefined;
      const { meanA, rmsA } = pulseMeans(pulse);
      return arcElectrical(wire, meanA, rmsA, lineMm, extensionMm, 0).meanVoltageV;
    },
  };
}

function lineOf(wire: WireInGas, mode: PlanMode): number {
  if (mode === 'dip') return dipArcMm;
  if (mode === 'spray' || mode === 'cored') return sprayArcMm;
  return pulseLineMm(wire.family, wire.diameterMm);
}
