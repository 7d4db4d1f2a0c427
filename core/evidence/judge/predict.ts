/** What a program shows on its machine, and what it would show with a cause: from the simulated arc and the metal laid, never typed in. */
import { areaForTravel, filletLegMm } from '../../setting/bead/index.ts';
import { arcOf, faultsTogether, simulationOf, type Faults } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import { simulate, type SimulationMetrics, type TransferMode } from '../../weld/simulation/index.ts';
import { fillerOf, wireAreaMm2 } from '../../metal/consumables/index.ts';
import { showThrough } from '../../setting/heat-input/index.ts';
import type { Cause } from './cause.ts';
import { lostVolts } from '../../base/units/convert.ts';

/** As a welder, a panel and a rule would find it. */
export interface Found {
  readonly displayedCurrentA: number;
  /** At the machine's terminals. */
  readonly displayedVoltageV: number;
  readonly pulseHz: number;
  readonly shortsPerS: number;
  readonly arcMm: number;
  /** Leg of a fillet of the metal laid, mm. */
  readonly legMm: number;
  /** Longer leg over shorter; a sound one is a little unequal. */
  readonly legRatio: number;
  readonly widthMm: number;
  /** How far it burns into a plate, mm. */
  readonly penetrationMm: number;
  readonly travelMmPerMin: number;
  readonly transferMode: TransferMode;
}

/** A run is short: settled means are wanted, not a bead. */
const seconds = 0.6;
const seeds = [1, 2, 3];
const shopC = 20;
const soundLegRatio = 1.08;
/** A gap never takes all of the metal. */
const leastLegMm = 0.5;

export type Shown = NonNullable<Cause['model']>;

/** What is found with all of these at once; levers are given the same way. */
export function predict(program: Program, circuitMOhm: number, shown: readonly Shown[] = []): Outcome<Found> {
  const trimmed = shown.reduce((sum, { trimMm = 0 }) => sum + trimMm, 0);
  const pace = shown.reduce((product, one) => product * (one.pace ?? 1), 1);
  const faults = shown.reduce<Faults>((all, one) => faultsTogether(all, one.faults?.(program) ?? {}), {});
  const run = { ...program, trimMm: program.trimMm + trimmed, travelMmPerMin: program.travelMmPerMin * pace };
  const burnt = arcBurnt(run, circuitMOhm, faults);
  if (!burnt.ok) return burnt;
  const { metrics, transferMode } = burnt.value;
  const mean = (of: (one: SimulationMetrics) => number) =>
    metrics.reduce((sum, one) => sum + of(one), 0) / metrics.length;
  const displayedCurrentA = mean((one) => one.meanCurrentA);
  const wire = arcOf(run, run.ctwdMm, run.trimMm).wire;
  const section = wireAreaMm2(faults.diameterMm ?? run.diameterMm) / wireAreaMm2(run.diameterMm);
  const feed = run.wireFeedMPerMin * (faults.feedFactor ?? 1) * (1 - (faults.slip ?? 0)) * section;
  const gapMm = shown.reduce((sum, one) => sum + (one.gapMm ?? 0), 0);
  const legMm = Math.max(filletLegMm(areaForTravel(wire, feed, run.travelMmPerMin), gapMm), leastLegMm);
  const warmC = shown.reduce((sum, one) => sum + (one.warmC ?? 0), 0);
  const meanVoltageV = mean((one) => one.meanVoltageV);
  return success({
    displayedCurrentA,
    displayedVoltageV: meanVoltageV + lostVolts(displayedCurrentA, circuitMOhm + (faults.leadExtraMOhm ?? 0)),
    pulseHz: mean((one) => one.pulseFrequencyHz),
    shortsPerS: mean((one) => one.shortsPerS),
    arcMm: mean((one) => one.meanArcLengthMm),
    legMm,
    legRatio: soundLegRatio * shown.reduce((all, one) => all * (one.legRatio ?? 1), 1),
    widthMm: legMm * Math.SQRT2,
    penetrationMm: showThrough(
      fillerOf(run.filler).family,
      displayedCurrentA,
      meanVoltageV,
      run.travelMmPerMin,
      1,
      shopC + warmC,
    ).penetrationMm,
    travelMmPerMin: run.travelMmPerMin,
    transferMode,
  });
}

interface Burnt {
  readonly metrics: readonly SimulationMetrics[];
  readonly transferMode: TransferMode;
}

/** Arcs that were burnt already, by everything the arc depends on; the oldest is given up first. */
const burntArcs = new Map<string, Outcome<Burnt>>();
const arcsKept = 600;

function arcBurnt(run: Program, circuitMOhm: number, faults: Faults): Outcome<Burnt> {
  // Pace, sequence and names do not reach the arc.
  const { filler, gas, diameterMm, mode, wireFeedMPerMin, trimMm, stiffness, pulse, slowBeat, ctwdMm } = run;
  const arc = { filler, gas, diameterMm, mode, wireFeedMPerMin, trimMm, stiffness, pulse, slowBeat, ctwdMm };
  const key = JSON.stringify([arc, circuitMOhm, Object.entries(faults).sort()]);
  const known = burntArcs.get(key);
  if (known) return known;
  const burnt = burn(run, circuitMOhm, faults);
  burntArcs.set(key, burnt);
  const [oldest] = burntArcs.keys();
  if (burntArcs.size > arcsKept && oldest !== undefined) burntArcs.delete(oldest);
  return burnt;
}

function burn(run: Program, circuitMOhm: number, faults: Faults): Outcome<Burnt> {
  const metrics: SimulationMetrics[] = [];
  let transferMode: TransferMode = 'spray';
  for (const seed of seeds) {
    const simulated = simulate(simulationOf(run, { circuitMOhm, seconds, seed, faults }));
    if (!simulated.ok) return failure(...simulated.issues);
    metrics.push(simulated.value.metrics);
    if (seed === seeds[0]) transferMode = simulated.value.transferMode;
  }
  return success({ metrics, transferMode });
}
