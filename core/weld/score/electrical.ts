/**
 * What a program's arc does at any feed of its score: mean current, voltage and true power at the contact tip.
 * Solved once per feed on a grid and read between its points, so that ten thousand moments cost no more than a few dozen.
 */
import { arcElectrical, wireInGas } from '../../metal/arc/index.ts';
import { arcOf } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { isPulsed, steadyCurrentOf } from '../../setting/plan/index.ts';
import { pulseFeedRange, pulseMeans, solveDefaultPulse, type FastPulse } from '../../setting/pulse/index.ts';

export interface FeedElectrical {
  readonly currentA: number;
  readonly voltageV: number;
  readonly powerW: number;
  /** False where a pulsed program has no steady one-drop pulse at this feed: the figures are those of a plain arc there. */
  readonly pulsed: boolean;
}

export interface ElectricalOf {
  at(feedMPerMin: number, trimMm?: number): FeedElectrical;
  /** The fast pulse at a feed; null where there is none. */
  pulseAt(feedMPerMin: number, trimMm?: number): FastPulse | null;
  /** Feeds that pulse at one drop per pulse, m/min; null in modes without a pulse. */
  readonly pulseRangeMPerMin: readonly [number, number] | null;
}

/** Grid of feeds, m/min: current and power bend so little that reading between is within 0.5 % (tested). */
const gridMPerMin = 0.5;
const still: FeedElectrical = { currentA: 0, voltageV: 0, powerW: 0, pulsed: true };

export function electricalOf(program: Program): ElectricalOf {
  const { filler, gas, diameterMm, mode, ctwdMm, trimMm } = program;
  const wire = wireInGas(filler, gas, diameterMm);
  const { lineMm } = arcOf(program, ctwdMm, trimMm);
  const isPulse = isPulsed(mode);
  const known = new Map<number, FeedElectrical>();

  const exact = (feed: number, byTrimMm: number): FeedElectrical => {
    const arcMm = Math.max(lineMm + trimMm + byTrimMm, 0);
    const extensionMm = Math.max(ctwdMm - arcMm, 3);
    const pulse = isPulse ? solveDefaultPulse(wire, extensionMm, feed) : undefined;
    const isSteady = pulse === undefined || typeof pulse === 'string';
    const steadyA = isSteady ? steadyCurrentOf(mode, wire, feed, extensionMm) : 0;
    const { meanA, rmsA } = isSteady ? { meanA: steadyA, rmsA: steadyA } : pulseMeans(pulse);
    const { meanVoltageV, meanPowerW } = arcElectrical(wire, meanA, rmsA, arcMm, extensionMm, 0);
    return { currentA: meanA, voltageV: meanVoltageV, powerW: meanPowerW, pulsed: !isPulse || !isSteady };
  };
  const onGrid = (step: number, trim: number): FeedElectrical => {
    const key = step * 4096 + Math.round((trim + 20) * 50);
    let found = known.get(key);
    if (!found) known.set(key, (found = exact(Math.max(step, 1) * gridMPerMin, trim)));
    return found;
  };

  return {
    pulseRangeMPerMin: isPulse ? (pulseFeedRange(wire, Math.max(ctwdMm - lineMm - trimMm, 3)) ?? null) : null,
    pulseAt(feed, trim = 0) {
      if (!isPulse || feed <= 0) return null;
      const pulse = solveDefaultPulse(wire, Math.max(ctwdMm - Math.max(lineMm + trimMm + trim, 0), 3), feed);
      return typeof pulse === 'string' ? null : pulse;
    },
    at(feed, trim = 0) {
      if (feed <= 0) return still;
      const position = feed / gridMPerMin;
      const step = Math.floor(position);
      const share = position - step;
      const low = onGrid(step, trim);
      const high = onGrid(step + 1, trim);
      // Where pulsing ends between two points, neither speaks for the other.
      if (low.pulsed !== high.pulsed) return exact(feed, trim);
      const between = (a: number, b: number) => a + (b - a) * share;
      return {
        currentA: between(low.currentA, high.currentA),
        voltageV: between(low.voltageV, high.voltageV),
        powerW: between(low.powerW, high.powerW),
        pulsed: low.pulsed,
      };
    },
  };
}
