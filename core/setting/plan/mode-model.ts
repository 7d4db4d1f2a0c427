/** What a transfer mode makes of a seam: how far the wire stands out, how long the arc is, what feed a current needs, and what a feed does. */
import { arcElectrical, transitionCurrentA, type WireInGas } from '../../metal/arc/index.ts';
import { gasOf } from '../../metal/consumables/index.ts';
import { dipMelting, meltRateMmPerS } from '../../metal/melting/index.ts';
import { pulseFeedRange, pulseMeans, solveDefaultPulse, type OneDropPulse } from '../pulse/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import { arcTarget, type ArcTarget } from './arc-target.ts';
import { steadyCurrentOf, steadyFeedOf } from './feed.ts';
import type { PlanInput } from './input.ts';
import { gasFlow, stickOutMm, stickOutRangeMm, type GasFlow } from './practice.ts';
import { lostVolts } from '../../base/units/convert.ts';

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
  /** Current under which this mode is not run, A; 0 where there is none. */
  readonly leastA: number;
  /** Undefined where the mode cannot run that feed. */
  at(wireFeedMPerMin: number): ArcPoint | undefined;
  /** Lowest and highest feed that it runs; undefined when it runs at none. */
  limits(): readonly [number, number] | undefined;
  /** A feed near the one that gives a current, to start a search from. */
  near(currentA: number): number;
}

/** Contact tip behind the nozzle's edge, mm: flush for dip, set back for pulse, spray and cored wire. */
const tipRecessMm = { dip: 0, other: 3 } as const;
/** Mean arc between shorts in dip, and the arc of spray and of cored wire, mm; rules of practice. */
export const dipArcMm = 1.5;
export const sprayArcMm = 5;

export function modeModel(input: PlanInput, wire: WireInGas): ModeModel {
  switch (input.mode) {
    case 'dip':
      return dipModel(input, wire);
    case 'spray':
    case 'cored':
      return sprayModel(input, wire);
    default:
      return pulseModel(input, wire);
  }
}

/** A hair inside a range, so that rounding at its edges never turns into a refusal. */
const inside = 1.001;
/** No wire is fed outside these, m/min. */
const feeds = [0.5, 30] as const;

/** What the machine feeds, within what the mode runs. */
function within(range: readonly [number, number] | undefined, input: PlanInput): readonly [number, number] | undefined {
  if (!range) return undefined;
  const machine = input.machine?.wireFeedMPerMin ?? feeds;
  const low = Math.max(range[0] * inside, machine[0]);
  const high = Math.min(range[1] / inside, machine[1]);
  return low <= high ? [low, high] : undefined;
}

function isFed(input: PlanInput, feed: number): boolean {
  const machine = input.machine?.wireFeedMPerMin;
  return !machine || (feed >= machine[0] - 1e-9 && feed <= machine[1] + 1e-9);
}

function pulseModel(input: PlanInput, wire: WireInGas): ModeModel {
  const arc = arcTarget(input, wire);
  const ctwdMm = stickOutMm(input.mode, input.diameterMm, input.gas);
  const extensionMm = ctwdMm - arc.arcLengthMm;
  const mostA = input.machine?.maxCurrentA;
  return {
    ctwdMm,
    ctwdRangeMm: stickOutRangeMm(ctwdMm),
    arc,
    extensionMm,
    flow: gasFlow(input.mode, input.filler, input.diameterMm),
    tipRecessMm: tipRecessMm.other,
    leastA: 0,
    // A pulse melts more than a steady current of the same mean, by a tenth to a half.
    near: (currentA) => (1.2 * meltRateMmPerS(wire, currentA, currentA, extensionMm)) / MM_PER_S_PER_M_PER_MIN,
    limits: () => within(pulseFeedRange(wire, extensionMm, mostA), input),
    at(wireFeedMPerMin) {
      if (!isFed(input, wireFeedMPerMin)) return undefined;
      const pulse = solveDefaultPulse(wire, extensionMm, wireFeedMPerMin, mostA);
      if (typeof pulse === 'string') return undefined;
      const { meanA, rmsA } = pulseMeans(pulse);
      return { ...pointOf(wire, meanA, rmsA, arc.arcLengthMm, extensionMm), pulse };
    },
  };
}

function pointOf(wire: WireInGas, meanA: number, rmsA: number, arcMm: number, extensionMm: number): ArcPoint {
  const electrical = arcElectrical(wire, meanA, rmsA, arcMm, extensionMm, 0);
  return {
    meanA,
    rmsA,
    voltageV: electrical.meanVoltageV,
    powerW: electrical.meanPowerW,
    productPowerW: electrical.productPowerW,
  };
}

/** Spray, and cored wire, whose sheath melts in fine drops at any current it is sold for. */
function sprayModel(input: PlanInput, wire: WireInGas): ModeModel {
  const ctwdMm = stickOutMm(input.mode, input.diameterMm, input.gas);
  const extensionMm = ctwdMm - sprayArcMm;
  // Below its transition the drop of a solid wire is large and unsteady: that is no spray.
  const leastA = input.mode === 'spray' ? wire.transitionA : leastCoredA(wire);
  const mostA = input.machine?.maxCurrentA;
  const feedFor = (currentA: number) => steadyFeedOf(input.mode, wire, currentA, extensionMm);
  return {
    ctwdMm,
    ctwdRangeMm: stickOutRangeMm(ctwdMm),
    arc: { arcLengthMm: sprayArcMm, lineMm: sprayArcMm, range: [4, 6], why: 'line' },
    extensionMm,
    flow: gasFlow(input.mode, input.filler, input.diameterMm),
    tipRecessMm: tipRecessMm.other,
    leastA,
    near: feedFor,
    limits: () => within([feedFor(leastA), mostA === undefined ? feeds[1] : feedFor(mostA)], input),
    at(wireFeedMPerMin) {
      if (!isFed(input, wireFeedMPerMin)) return undefined;
      const meanA = steadyCurrentOf(input.mode, wire, wireFeedMPerMin, extensionMm);
      if (meanA < leastA || (mostA !== undefined && meanA > mostA)) return undefined;
      return pointOf(wire, meanA, meanA, sprayArcMm, extensionMm);
    },
  };
}

/** Least current of a cored wire, A: under it the sheath melts past its filling. 75 A per mm, rule of practice, assumed. */
function leastCoredA(wire: WireInGas): number {
  return 75 * wire.diameterMm;
}

/** Voltage of dip transfer, a rule of practice, ±1.5 V: 13.5 + 0.036 I in argon mixes, 2.5 V more in CO2, 0.03 V per percent of helium. */
export const dipVolts = { baseV: 13.5, perAmpere: 0.036, co2V: 2.5, perHeliumPct: 0.03, errorV: 1.5 } as const;
export function dipVoltageV(wire: WireInGas, currentA: number): number {
  const { baseV, perAmpere, co2V, perHeliumPct } = dipVolts;
  return baseV + perAmpere * currentA + co2V * wire.co2Share + perHeliumPct * wire.heliumPct + wire.nudges.arcVoltageV;
}

/** Share by which pure CO2 carries the shorting arc on, buried in its pool, beyond what argon mixes dip at; assumed. */
const co2DipExtra = 0.35;

/** Current up to which a wire still dips, A: its transition in the table's own gas, more in CO2, which has no spray to go over into. */
export function dipCeilingA(wire: WireInGas): number {
  return transitionCurrentA(wire.family, wire.diameterMm, gasOf('I1')) * (1 + co2DipExtra * wire.co2Share);
}

function dipModel(input: PlanInput, wire: WireInGas): ModeModel {
  const ctwdMm = stickOutMm('dip', input.diameterMm, input.gas);
  const extensionMm = ctwdMm - dipArcMm;
  const ceiling = Math.min(dipCeilingA(wire), input.machine?.maxCurrentA ?? Number.POSITIVE_INFINITY);
  const feedFor = (currentA: number) => steadyFeedOf('dip', wire, currentA, extensionMm);
  return {
    ctwdMm,
    ctwdRangeMm: stickOutRangeMm(ctwdMm),
    arc: { arcLengthMm: dipArcMm, lineMm: dipArcMm, range: [1, 2], why: 'line' },
    extensionMm,
    flow: gasFlow('dip', input.filler, input.diameterMm),
    tipRecessMm: tipRecessMm.dip,
    leastA: 0,
    near: feedFor,
    limits: () => within([feeds[0], feedFor(ceiling)], input),
    at(wireFeedMPerMin) {
      if (!isFed(input, wireFeedMPerMin)) return undefined;
      const meanA = steadyCurrentOf('dip', wire, wireFeedMPerMin, extensionMm);
      if (meanA > ceiling) return undefined;
      const voltageV = dipVoltageV(wire, meanA);
      // Shorts carry current at little voltage and arcs the reverse; over both, power stays near the product.
      return {
        meanA,
        rmsA: meanA * dipMelting.formFactor,
        voltageV,
        powerW: voltageV * meanA,
        productPowerW: voltageV * meanA,
      };
    },
  };
}

/** Volts at the machine above those at the tip. */
export function circuitDropV(input: PlanInput, meanA: number): number {
  return lostVolts(meanA, input.site.circuitMOhm);
}
