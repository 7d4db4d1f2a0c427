/** One place of a map: the arc run there for a moment, with its zone. */
import { arcOf, simulationOf } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import type { WireCorrection } from '../../metal/arc/index.ts';
import { simulate } from '../simulation/index.ts';
import { movedTo, type AxisRange } from './axes.ts';
import { zoneOf, type Zone } from './zone.ts';

/** How the arc of a place is run. */
export interface CellRun {
  readonly circuitMOhm: number;
  /** Measured part of each run, s. */
  readonly seconds: number;
  /** Left to settle before it is measured, s; left out: as every simulation. */
  readonly settleS?: number | undefined;
  readonly stepS?: number | undefined;
  readonly correction?: WireCorrection | undefined;
}

export interface MapRequest extends CellRun {
  readonly program: Program;
  readonly x: AxisRange;
  readonly y: AxisRange;
  /** A fast background set by hand, A; otherwise it follows the feed. */
  readonly heldBackgroundA?: number | null | undefined;
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
  const { program, x, y, heldBackgroundA = null } = request;
  const [figureX, figureY] = [cellFigure(x, column, count), cellFigure(y, row, count)];
  const alongX = movedTo(program, x.axis, figureX, heldBackgroundA);
  // A background on the first axis is held along the second.
  const held = x.axis === 'backgroundCurrentA' ? figureX : heldBackgroundA;
  const moved = alongX.ok ? movedTo(alongX.value, y.axis, figureY, held) : alongX;
  return moved.ok ? cellOf(moved.value, request, 1 + column * 101 + row) : impossible;
}

/** What the arc of a program does, run for a moment. */
export function cellOf(program: Program, how: CellRun, seed: number): Cell {
  const { circuitMOhm, seconds, settleS, stepS, correction } = how;
  const input = { ...simulationOf(program, { circuitMOhm, seconds, seed }), settleS, stepS };
  const run = simulate(correction ? { ...input, correction } : input);
  if (!run.ok) return impossible;
  const { metrics, transferMode } = run.value;
  const { lineMm } = arcOf(program, program.ctwdMm, 0);
  return {
    zone: zoneOf(program.mode, transferMode, metrics, lineMm),
    shortsPerS: metrics.shortsPerS,
    dropsPerPulse: metrics.dropsPerPulse,
    arcLengthMm: metrics.meanArcLengthMm,
  };
}

const impossible: Cell = { zone: 'impossible', shortsPerS: 0, dropsPerPulse: 0, arcLengthMm: 0 };
