/** One place of a map: the arc run there for a moment, with its zone. */
import { arcOf, simulationOf, type Program } from '../machine/index.ts';
import { simulate, type WireCorrection } from '../simulation/index.ts';
import { movedTo, type AxisRange } from './axes.ts';
import { zoneOf, type Zone } from './zone.ts';

export interface MapRequest {
  readonly program: Program;
  readonly x: AxisRange;
  readonly y: AxisRange;
  readonly circuitMOhm: number;
  /** Measured part of each run, s. */
  readonly seconds: number;
  readonly correction?: WireCorrection | undefined;
}

export interface Cell {
  readonly zone: Zone;
  readonly shortsPerS: number;
  readonly dropsPerPulse: number;
  readonly arcLengthMm: number;
}

/** Figure at the middle of the n-th of `count` cells on an axis. */
export function cellFigure({ from, to }: AxisRange, at: number, count: number): number {
  return from + ((at + 0.5) / count) * (to - from);
}

/** The seed belongs to the place, so that a map is the same each time it is made. */
export function mapCell(request: MapRequest, column: number, row: number, count: number): Cell {
  const { program, x, y, circuitMOhm, seconds, correction } = request;
  const alongX = movedTo(program, x.axis, cellFigure(x, column, count));
  const moved = alongX.ok ? movedTo(alongX.value, y.axis, cellFigure(y, row, count)) : alongX;
  if (!moved.ok) return impossible;
  const input = simulationOf(moved.value, { circuitMOhm, seconds, seed: 1 + column * 101 + row });
  const run = simulate(correction ? { ...input, correction } : input);
  if (!run.ok) return impossible;
  const { metrics, transferMode } = run.value;
  const { lineMm } = arcOf(moved.value, moved.value.ctwdMm, 0);
  return {
    zone: zoneOf(program.mode, transferMode, metrics, lineMm),
    shortsPerS: metrics.shortsPerS,
    dropsPerPulse: metrics.dropsPerPulse,
    arcLengthMm: metrics.meanArcLengthMm,
  };
}

const impossible: Cell = { zone: 'impossible', shortsPerS: 0, dropsPerPulse: 0, arcLengthMm: 0 };
