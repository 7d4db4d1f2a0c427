/** What changes at the bench without anybody touching a dial: hand, leads, gas, wire, plate, feeder. Each alters the simulated arc while the source stays as it was set. */
import { fillerOf, wireSizes } from '../../metal/consumables/index.ts';
import { showThrough, type ShowThrough } from '../../setting/heat-input/index.ts';
import { simulationOf } from '../dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import type { SimulationInput, SimulationMetrics } from '../../weld/simulation/index.ts';

export const whatIfs = ['hand-out', 'lead-gained', 'gas-swapped', 'wire-other', 'plate-hot', 'feeder-slips'] as const;
export type WhatIf = (typeof whatIfs)[number];

/** By how much, as data, so that words and sums agree. */
export const whatIfSizes = { handOutMm: 6, leadMOhm: 8, slipShare: 0.05, plateC: 150 } as const;

export interface WhatIfOptions {
  readonly circuitMOhm: number;
  readonly seconds: number;
  readonly seed: number;
  /** For `gas-swapped`. */
  readonly otherGas: string;
}

/** The wire that looks the same on the spool and is not: the nearest inch or metric size beside it. */
export function otherSizeMm(diameterMm: number): number {
  const near = wireSizes
    .filter((size) => Math.abs(size.diameterMm - diameterMm) > 0.005)
    .sort((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm))[0];
  return near?.diameterMm ?? diameterMm;
}

/** The simulation with the given changes on top of each other: the source stays as it was set, it does not know that hand, lead, gas or wire changed. */
export function whatIfInput(program: Program, changes: ReadonlySet<WhatIf>, options: WhatIfOptions): SimulationInput {
  const { otherGas, ...plain } = options;
  return simulationOf(program, {
    ...plain,
    faults: {
      ...(changes.has('lead-gained') ? { leadExtraMOhm: whatIfSizes.leadMOhm } : {}),
      ...(changes.has('hand-out') ? { ctwdMm: program.ctwdMm + whatIfSizes.handOutMm } : {}),
      ...(changes.has('gas-swapped') ? { gas: otherGas } : {}),
      ...(changes.has('wire-other') ? { diameterMm: otherSizeMm(program.diameterMm) } : {}),
      ...(changes.has('feeder-slips') ? { slip: whatIfSizes.slipShare } : {}),
    },
  });
}

export interface Masking {
  readonly quantity: 'trimMm' | 'wireFeedMPerMin';
  /** How far the welder would move it to get the look back. */
  readonly by: number;
}

/** Which dial would hide the change: the arc's length is brought back by trim, the current by feed. Undefined when neither has moved noticeably. */
export function maskingOf(program: Program, before: SimulationMetrics, after: SimulationMetrics): Masking | undefined {
  const arcMm = after.meanArcLengthMm - before.meanArcLengthMm;
  if (Math.abs(arcMm) > 0.3) return { quantity: 'trimMm', by: -arcMm };
  const currentShare = after.meanCurrentA / before.meanCurrentA - 1;
  if (Math.abs(currentShare) > 0.03)
    return { quantity: 'wireFeedMPerMin', by: -currentShare * program.wireFeedMPerMin };
  return undefined;
}

/** How far the bead reaches through a plate of this thickness and warmth, from the simulated current and volts. */
export function showThroughOf(
  program: Program,
  metrics: SimulationMetrics,
  thicknessMm: number,
  plateC: number,
): ShowThrough {
  return showThrough(
    fillerOf(program.filler).family,
    metrics.meanCurrentA,
    metrics.meanVoltageV,
    program.travelMmPerMin,
    thicknessMm,
    plateC,
  );
}
