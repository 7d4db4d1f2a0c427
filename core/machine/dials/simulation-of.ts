/** A program as the question the arc simulation is asked: the source that its mode needs, set where the program sets it, on a machine with its leads, and with what may be wrong. */
import type { DialSetting } from './dial-setting.ts';
import type { SimulationInput } from '../../weld/simulation/index.ts';
import { isPulsed } from '../../setting/plan/index.ts';
import { arcOf } from './arc-of.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { translate } from './translate.ts';
import { withinMachine } from './within-machine.ts';
import { lostVolts } from '../../base/units/convert.ts';

export interface SimulationOptions {
  readonly circuitMOhm: number;
  readonly seconds: number;
  readonly seed: number;
  readonly faults?: Faults | undefined;
}

/** What can be wrong at the bench. */
export interface Faults {
  /** Resistance that the leads gained, mΩ. */
  readonly leadExtraMOhm?: number | undefined;
  /** Share of the wire that slips in the rolls. */
  readonly slip?: number | undefined;
  /** Stick-out as it is held, mm. */
  readonly ctwdMm?: number | undefined;
  readonly gas?: string | undefined;
  readonly diameterMm?: number | undefined;
  /** Volts that the set-point is off. */
  readonly setPointV?: number | undefined;
  /** The feed dial stands at this multiple; the set-point follows the line. */
  readonly feedFactor?: number | undefined;
}

/** Two things wrong at once: resistances and volts add, slips and factors multiply, of the rest the other stands. */
export function faultsTogether(one: Faults, other: Faults): Faults {
  return {
    ...one,
    ...other,
    leadExtraMOhm: (one.leadExtraMOhm ?? 0) + (other.leadExtraMOhm ?? 0),
    setPointV: (one.setPointV ?? 0) + (other.setPointV ?? 0),
    slip: 1 - (1 - (one.slip ?? 0)) * (1 - (other.slip ?? 0)),
    ...(one.feedFactor === undefined && other.feedFactor === undefined
      ? {}
      : { feedFactor: (one.feedFactor ?? 1) * (other.feedFactor ?? 1) }),
  };
}

/**
 * The set-point is made for the circuit as it is, so that the arc is the program's on every machine; a fault then moves it.
 * In dip, spray and with cored wire the voltage is the line's at this feed, moved by the trim, plus what the leads lose; V at the source.
 */
export function simulationOf(
  asked: Program,
  { circuitMOhm, seconds, seed, faults = {} }: SimulationOptions,
): SimulationInput {
  const program = atFeed(asked, faults.feedFactor ?? 1);
  const { filler, gas, diameterMm, wireFeedMPerMin, ctwdMm, mode, trimMm, stiffness, pulse, slowBeat } = program;
  const base = {
    filler,
    gas,
    diameterMm,
    wireFeedMPerMin,
    ctwdMm,
    seconds,
    seed,
    feedSlip: faults.slip,
    really: { gas: faults.gas, diameterMm: faults.diameterMm, ctwdMm: faults.ctwdMm },
  };
  const reallyMOhm = circuitMOhm + (faults.leadExtraMOhm ?? 0);
  if (isPulsed(mode)) {
    return {
      ...base,
      source: {
        kind: 'pulse',
        trim: trimMm,
        stiffness,
        circuitMOhm: reallyMOhm,
        madeForMOhm: circuitMOhm,
        setPointOffsetV: faults.setPointV,
        ...(pulse
          ? {
              pulse: {
                peakCurrentA: pulse.peakCurrentA,
                peakTimeMs: pulse.peakTimeMs,
                // Each level of a beat, and a feed that was turned away from the pulse's own, finds a background of its own.
                ...(slowBeat || faults.feedFactor !== undefined
                  ? {}
                  : { backgroundCurrentA: pulse.backgroundCurrentA }),
              },
            }
          : {}),
        ...(slowBeat ? { slowBeat } : {}),
      },
    };
  }
  return {
    ...base,
    source: {
      kind: 'constant-voltage',
      voltageV: sourceVolts(program, circuitMOhm) + (faults.setPointV ?? 0),
      stiffness,
      circuitMOhm: reallyMOhm,
    },
  };
}

/** The program with its feed dial turned. */
function atFeed(program: Program, factor: number): Program {
  if (factor === 1) return program;
  const { slowBeat, wireFeedMPerMin } = program;
  return {
    ...program,
    wireFeedMPerMin: wireFeedMPerMin * factor,
    slowBeat: slowBeat && {
      ...slowBeat,
      meanFeedMPerMin: slowBeat.meanFeedMPerMin * factor,
      highFeedMPerMin: slowBeat.highFeedMPerMin * factor,
      lowFeedMPerMin: slowBeat.lowFeedMPerMin * factor,
    },
  };
}

/** The program that a machine really runs when its dials stand where the card says: each off by what the dial's steps leave. */
export function asDialled(asked: Program, machine: Machine): Program {
  const program = withinMachine(asked, machine);
  const { dials } = translate(machine, program);
  const miss = (quantity: string) => {
    const dial = dials.find((one) => one.quantity === quantity);
    return dial?.error ?? 0;
  };
  const feedFactor = feedFactorOf(program, dials);
  const moved = atFeed(program, feedFactor);
  return { ...moved, trimMm: moved.trimMm + miss('trimMm'), stiffness: moved.stiffness + miss('stiffness') };
}

/** Feed where the master dial's step really stands, over the feed wished; an ampere dial misses in the feed that its current melts. */
function feedFactorOf(program: Program, dials: readonly DialSetting[]): number {
  const byFeed = dials.find(({ quantity }) => quantity === 'wireFeedMPerMin');
  if (byFeed?.wishedQuantity !== undefined) return 1 + (byFeed.error ?? 0) / byFeed.wishedQuantity;
  const byCurrent = dials.find(({ quantity }) => quantity === 'meanCurrentA');
  if (byCurrent?.wishedQuantity === undefined || byCurrent.reachedQuantity === undefined) return 1;
  const trimMm = program.trimMm + (dials.find(({ quantity }) => quantity === 'trimMm')?.error ?? 0);
  const arc = arcOf(program, program.ctwdMm, trimMm);
  const [wished, reached] = [arc.feedAt(byCurrent.wishedQuantity), arc.feedAt(byCurrent.reachedQuantity)];
  return wished === undefined || reached === undefined ? 1 : reached / wished;
}

/** Set-point of a constant-voltage source for a program without pulses, V. */
export function sourceVolts(program: Program, circuitMOhm: number): number {
  const arc = arcOf(program, program.ctwdMm, program.trimMm);
  const current = arc.currentAt(program.wireFeedMPerMin) ?? 0;
  const atTip = (arc.lineVoltsAt(program.wireFeedMPerMin) ?? 20) + program.trimMm * arc.wire.eVPerMm;
  return atTip + lostVolts(current, circuitMOhm);
}
