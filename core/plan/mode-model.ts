/** What a transfer mode makes of a seam: how far the wire stands out, how long the arc is, what feed a current needs, and what a feed does. */
import { arcElectrical, transitionCurrentA, type WireInGas } from '../arc/index.ts';
import { gasOf } from '../consumables/index.ts';
import { meltRateMmPerS, steadyCurrentA } from '../melting/index.ts';
import { pulseMeans, solveDefaultPulse, type OneDropPulse } from '../pulse/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../units/factors.ts';
import { arcTarget, type ArcTarget } from './arc-target.ts';
import { pulsedFeedForCurrent, type ReferenceFeed } from './feed.ts';
import { defaultCircuitMOhm, type PlanInput, type PlanMode } from './input.ts';
import {
  dipGasFlow,
  dipStickOutMm,
  pulseGasFlow,
  pulseStickOutMm,
  pulseStickOutRangeMm,
  type GasFlow,
} from './practice.ts';

/** What the arc does at a feed. */
export interface ArcPoint {
  readonly meanA: number;
  readonly rmsA: number;
  /** At the contact tip. */
  readonly voltageV: number;
  readonly powerW: number;
  readonly productPowerW: number;
  readonly pulse?: OneDropPulse;
}

export interface ModeModel {
  readonly ctwdMm: number;
  readonly ctwdRangeMm: readonly [number, number];
  readonly arc: ArcTarget;
  readonly extensionMm: number;
  readonly flow: GasFlow;
  readonly tipRecessMm: number;
  feedForCurrent(currentA: number): ReferenceFeed | undefined;
  /** Undefined where the mode cannot run that feed. */
  at(wireFeedMPerMin: number): ArcPoint | undefined;
}

/** Contact tip behind the nozzle's edge, mm: flush for dip, set back for pulse and spray. */
const tipRecessMm = { dip: 0, other: 3 } as const;
/** Mean arc between shorts in dip, and the arc of spray, mm; rules of practice. */
export const dipArcMm = 1.5;
export const sprayArcMm = 5;

export function modeModel(input: PlanInput, wire: WireInGas): ModeModel {
  if (input.mode === 'dip') return dipModel(input, wire);
  if (input.mode === 'spray') return sprayModel(input, wire);
  return pulseModel(input, wire);
}

/** Modes whose current flows in pulses. */
export function isPulsed(mode: PlanMode): boolean {
  return mode === 'pulse' || mode === 'double-pulse';
}

function pulseModel(input: PlanInput, wire: WireInGas): ModeModel {
  const arc = arcTarget(input, wire);
  const ctwdMm = pulseStickOutMm(input.diameterMm);
  const extensionMm = ctwdMm - arc.arcLengthMm;
  return {
    ctwdMm,
    ctwdRangeMm: pulseStickOutRangeMm,
    arc,
    extensionMm,
    flow: pulseGasFlow(input.filler, input.diameterMm),
    tipRecessMm: tipRecessMm.other,
    feedForCurrent: (currentA) => pulsedFeedForCurrent(wire, extensionMm, currentA),
    at(wireFeedMPerMin) {
      const pulse = solveDefaultPulse(wire, extensionMm, wireFeedMPerMin);
      if (typeof pulse === 'string') return undefined;
      const { meanA, rmsA } = pulseMeans(pulse);
      const electrical = arcElectrical(wire, meanA, rmsA, arc.arcLengthMm, extensionMm, 0);
      return {
        meanA,
        rmsA,
        voltageV: electrical.meanVoltageV,
        powerW: electrical.meanPowerW,
        productPowerW: electrical.productPowerW,
        pulse,
      };
    },
  };
}

/** Steady current: feed and current belong together by the melting relation alone. */
function steadyFeed(wire: WireInGas, extensionMm: number): (currentA: number) => ReferenceFeed {
  return (currentA) => ({
    feedMPerMin: meltRateMmPerS(wire, currentA, currentA, extensionMm) / MM_PER_S_PER_M_PER_MIN,
  });
}

function sprayModel(input: PlanInput, wire: WireInGas): ModeModel {
  const ctwdMm = pulseStickOutMm(input.diameterMm);
  const extensionMm = ctwdMm - sprayArcMm;
  return {
    ctwdMm,
    ctwdRangeMm: pulseStickOutRangeMm,
    arc: { arcLengthMm: sprayArcMm, lineMm: sprayArcMm, range: [4, 6], why: 'line' },
    extensionMm,
    flow: pulseGasFlow(input.filler, input.diameterMm),
    tipRecessMm: tipRecessMm.other,
    feedForCurrent: steadyFeed(wire, extensionMm),
    at(wireFeedMPerMin) {
      const meanA = steadyCurrentA(wire, wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN, extensionMm);
      // Below its transition the drop is large and unsteady: that is no spray.
      if (meanA < wire.transitionA) return undefined;
      const electrical = arcElectrical(wire, meanA, meanA, sprayArcMm, extensionMm, 0);
      return {
        meanA,
        rmsA: meanA,
        voltageV: electrical.meanVoltageV,
        powerW: electrical.meanPowerW,
        productPowerW: electrical.productPowerW,
      };
    },
  };
}

/** Voltage of dip transfer, a rule of practice, ±1.5 V: 13.5 + 0.036 I in argon mixes, 2.5 V more in CO2. */
export function dipVoltageV(wire: WireInGas, currentA: number): number {
  return 13.5 + 0.036 * currentA + 2.5 * wire.co2Share + wire.nudges.arcVoltageV;
}

/** Current up to which a wire still dips, A: its transition in the table's own gas. Rule of practice, assumed. */
export function dipCeilingA(wire: WireInGas): number {
  return transitionCurrentA(wire.family, wire.diameterMm, gasOf('I1'));
}

function dipModel(input: PlanInput, wire: WireInGas): ModeModel {
  const ctwdMm = dipStickOutMm(input.diameterMm);
  const extensionMm = ctwdMm - dipArcMm;
  const ceiling = dipCeilingA(wire);
  return {
    ctwdMm,
    ctwdRangeMm: [ctwdMm - 2, ctwdMm + 3],
    arc: { arcLengthMm: dipArcMm, lineMm: dipArcMm, range: [1, 2], why: 'line' },
    extensionMm,
    flow: input.gas === 'none' ? pulseGasFlow(input.filler, input.diameterMm) : dipGasFlow(input.diameterMm),
    tipRecessMm: tipRecessMm.dip,
    feedForCurrent: steadyFeed(wire, extensionMm),
    at(wireFeedMPerMin) {
      const meanA = steadyCurrentA(wire, wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN, extensionMm);
      if (meanA > ceiling) return undefined;
      const voltageV = dipVoltageV(wire, meanA);
      // Shorts carry current at little voltage and arcs the reverse; over both, power stays near the product.
      return { meanA, rmsA: meanA, voltageV, powerW: voltageV * meanA, productPowerW: voltageV * meanA };
    },
  };
}

/** Volts at the machine above those at the tip. */
export function circuitDropV(input: PlanInput, meanA: number): number {
  return (meanA * (input.circuitMOhm ?? defaultCircuitMOhm)) / 1000;
}
