/** One dial of a machine swept across its travel: where it would stand, the figure it then says, and the program that makes. */
import { cardOf } from '../../machine/dials/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { stepDial } from '../../machine/tuning/index.ts';
import { axisRange, figureOn, movedTo, type MapAxis } from './axes.ts';

export const sweepQuantities = ['wireFeedMPerMin', 'trimMm', 'stiffness'] as const satisfies readonly MapAxis[];
export type SweepQuantity = (typeof sweepQuantities)[number];

export interface SweepStop {
  /** Dial steps from where it stands now; up is more of the quantity. */
  readonly steps: number;
  /** What the dial shows there. */
  readonly display: string;
  readonly figure: number;
  /** null where the wire cannot do it. */
  readonly program: Program | null;
}

export interface DialSweep {
  readonly label: string;
  readonly unit: string;
  /** Dial steps between two stops. */
  readonly stride: number;
  readonly stops: readonly SweepStop[];
}

/** Stops worth listening to; more of them than this say nothing new. */
const mostStops = 15;
/** Longest search for an end of the travel, steps. */
const farthest = 400;

/**
 * Stops over the part of the dial's travel that is worth looking at (`axisRange`), evenly spaced in whole steps, with where it stands now among them.
 * Undefined where the machine has no dial for the quantity, or one that is no number.
 */
export function sweepOf(
  machine: Machine,
  program: Program,
  quantity: SweepQuantity,
  heldBackgroundA: number | null = null,
): DialSweep | undefined {
  const here = cardOf(machine, program).dials.find((dial) => dial.quantity === quantity);
  if (!here || !stepDial(machine, program, quantity, 0)) return undefined;
  const range = axisRange(program, quantity);
  const reach = (sense: 1 | -1): number => {
    const at = (steps: number) => stepDial(machine, program, quantity, sense * steps);
    const isWithin = (steps: number) => {
      const move = at(steps);
      return move !== undefined && !move.atEnd && move.figure >= range.from - 1e-9 && move.figure <= range.to + 1e-9;
    };
    let low = 0;
    let high = farthest;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (isWithin(middle)) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  const [down, up] = [reach(-1), reach(1)];
  const stride = Math.max(Math.ceil((down + up) / (mostStops - 1)), 1);
  const count = Math.floor(down / stride) + Math.floor(up / stride) + 1;
  const stops = Array.from({ length: count }, (_, at): SweepStop => {
    const steps = (at - Math.floor(down / stride)) * stride;
    const figure =
      steps === 0 ? figureOn(program, quantity) : (stepDial(machine, program, quantity, steps)?.figure ?? Number.NaN);
    const moved =
      steps === 0 ? { ok: true as const, value: program } : movedTo(program, quantity, figure, heldBackgroundA);
    const shown = moved.ok ? cardOf(machine, moved.value).dials.find((dial) => dial.dialId === here.dialId) : undefined;
    return { steps, display: shown?.display ?? '–', figure, program: moved.ok ? moved.value : null };
  });
  return { label: here.label, unit: here.unit, stride, stops };
}
