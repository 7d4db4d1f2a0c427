/** What a map can have on its axes: a quantity of the program, its range around the present setting, and the program moved along it. */
import { type Program } from '../../setting/program/index.ts';
import { arcOf } from '../../machine/dials/index.ts';
import { type Outcome } from '../../base/outcome/index.ts';
import { pulseFeedRange } from '../../setting/pulse/index.ts';
import { isPulsed } from '../../setting/plan/index.ts';
import { noTune, tuned } from '../../machine/tuning/index.ts';

export const mapAxes = ['wireFeedMPerMin', 'trimMm', 'stiffness', 'ctwdMm', 'backgroundCurrentA'] as const;
export type MapAxis = (typeof mapAxes)[number];

export interface AxisRange {
  readonly axis: MapAxis;
  readonly from: number;
  readonly to: number;
}

/** The range worth looking at around a program; feeds stay within what the wire pulses. */
export function axisRange(program: Program, axis: MapAxis): AxisRange {
  switch (axis) {
    case 'wireFeedMPerMin': {
      const feed = program.wireFeedMPerMin;
      if (!isPulsed(program.mode)) return { axis, from: Math.max(0.55 * feed, 0.5), to: Math.min(1.6 * feed, 30) };
      const { wire, lineMm } = arcOf(program, program.ctwdMm, 0);
      const range = pulseFeedRange(wire, Math.max(program.ctwdMm - lineMm, 3));
      return { axis, from: Math.max(range?.[0] ?? 1, 0.4 * feed), to: Math.min(range?.[1] ?? 20, 1.8 * feed) };
    }
    case 'trimMm':
      return isPulsed(program.mode) ? { axis, from: -5, to: 5 } : { axis, from: -7, to: 8 };
    case 'stiffness':
      return { axis, from: -10, to: 10 };
    case 'ctwdMm':
      return { axis, from: Math.max(program.ctwdMm - 6, 6), to: Math.min(program.ctwdMm + 12, 45) };
    case 'backgroundCurrentA': {
      const now = program.pulse?.backgroundCurrentA ?? 60;
      return { axis, from: Math.max(0.5 * now, 10), to: 1.7 * now };
    }
  }
}

export function figureOn(program: Program, axis: MapAxis): number {
  return axis === 'backgroundCurrentA' ? (program.pulse?.backgroundCurrentA ?? 0) : program[axis];
}

/**
 * The program at a place of the map, made as tuning makes it, so that map and bench agree. Peak and its time stay as they are set;
 * the background follows unless `heldBackgroundA` says that it was set by hand. Issues: those of the pulse that cannot be made there.
 */
export function movedTo(
  program: Program,
  axis: MapAxis,
  figure: number,
  heldBackgroundA: number | null = null,
): Outcome<Program> {
  const { pulse, wireFeedMPerMin } = program;
  const kept = {
    ...noTune,
    peakCurrentA: pulse?.peakCurrentA ?? null,
    peakTimeMs: pulse?.peakTimeMs ?? null,
    backgroundCurrentA: heldBackgroundA,
  };
  return axis === 'wireFeedMPerMin'
    ? tuned(program, kept, figure)
    : tuned(program, { ...kept, [axis]: figure }, wireFeedMPerMin);
}
