/** A program said in one machine's own dials, quantised as that machine would, with the miss in physical terms. */
import type { Warning } from '../outcome/index.ts';
import type { ChartLine, DialQuantity, LinearScale, Machine } from './machine.ts';
import type { Program } from './program.ts';

export interface DialSetting {
  readonly dialId: string;
  readonly label: string;
  readonly where: string;
  readonly unit: string;
  readonly sense?: string | undefined;
  readonly quantity: DialQuantity | 'chart-line';
  /** What to set. */
  readonly value: number;
  /** `value` as that machine shows it. */
  readonly display: string;
  /** Absent for a chart line. */
  readonly wishedQuantity?: number;
  readonly reachedQuantity?: number;
  /** Reached minus wished, in the quantity's unit. */
  readonly error?: number;
}

export interface Translation {
  readonly dials: readonly DialSetting[];
  /** Number on the chart, or null when this machine has no line for the wire, gas and mode. */
  readonly programNumber: number | null;
  readonly chartLine: ChartLine | null;
  readonly warnings: readonly Warning[];
}

/** Two wires count as one size within this, mm: 0.035 in is sold and dialled as 0.9 mm. */
const sameSizeMm = 0.03;

export function translate(machine: Machine, program: Program): Translation {
  const warnings: Warning[] = [];
  const chartLine = chartLineFor(machine, program) ?? null;
  const dials: DialSetting[] = [];
  for (const { id, label, where, unit, sense, scale } of machine.dials) {
    const face = { dialId: id, label, where, unit, sense };
    if (scale.kind === 'chart-line') {
      if (chartLine) {
        dials.push({ ...face, quantity: 'chart-line', value: chartLine.number, display: String(chartLine.number) });
      }
      continue;
    }
    const wished = wishedQuantity(program, scale.quantity);
    const value = quantise(scale, wished);
    const reached = quantityAt(scale, value);
    dials.push({
      ...face,
      quantity: scale.quantity,
      value,
      display: displayed(scale, value),
      wishedQuantity: wished,
      reachedQuantity: reached,
      error: reached - wished,
    });
    // Beyond half a step the dial has run out, which no rounding explains.
    if (Math.abs(reached - wished) > Math.abs(scale.step * scale.quantityPerUnit) * 0.5 + 1e-9) {
      warnings.push({
        code: 'dial-at-its-end',
        level: 'caution',
        message: `${label} ends at ${displayed(scale, value)}: it reaches ${round(reached)} where ${round(wished)} ${quantityUnits[scale.quantity]} is wanted.`,
      });
    }
  }
  if (machine.dials.some((dial) => dial.scale.kind === 'chart-line') && !chartLine) {
    warnings.push({
      code: 'no-chart-line',
      level: 'caution',
      message: `${machine.name} has no chart line for this wire and gas in pulse; the card's other figures hold only on a line made for them.`,
    });
  }
  if (program.pulse.peakCurrentA > machine.limits.peakCurrentA) {
    warnings.push({
      code: 'peak-beyond-machine',
      level: 'caution',
      message: `The pulse peaks at ${round(program.pulse.peakCurrentA)} A; ${machine.name} gives at most ${machine.limits.peakCurrentA} A.`,
    });
  }
  const [slowest, fastest] = machine.limits.wireFeedMPerMin;
  if (program.wireFeedMPerMin > fastest || program.wireFeedMPerMin < slowest) {
    warnings.push({
      code: 'feed-beyond-machine',
      level: 'caution',
      message: `${round(program.wireFeedMPerMin)} m/min is outside ${machine.name}'s ${slowest} to ${fastest} m/min.`,
    });
  }
  return { dials, programNumber: chartLine?.number ?? null, chartLine, warnings };
}

export const quantityUnits: Record<DialQuantity, string> = {
  wireFeedMPerMin: 'm/min',
  trimMm: 'mm of trim',
  stiffness: 'of stiffness',
  peakCurrentA: 'A',
  gasFlowLPerMin: 'L/min',
};

function chartLineFor(machine: Machine, program: Program): ChartLine | undefined {
  return machine.chartLines.find(
    (line) =>
      line.filler === program.filler &&
      line.gas === program.gas &&
      line.mode === program.mode &&
      Math.abs(line.diameterMm - program.diameterMm) < sameSizeMm,
  );
}

function wishedQuantity(program: Program, quantity: DialQuantity): number {
  return quantity === 'peakCurrentA' ? program.pulse.peakCurrentA : program[quantity];
}

/** Nearest dial value that exists, held between the dial's ends. */
function quantise(scale: LinearScale, wished: number): number {
  const exact = scale.neutral + (wished - scale.quantityAtNeutral) / scale.quantityPerUnit;
  const stepped = scale.min + Math.round((exact - scale.min) / scale.step) * scale.step;
  const held = Math.min(Math.max(stepped, scale.min), scale.max);
  return Number(held.toFixed(stepDigits(scale.step)));
}

function quantityAt(scale: LinearScale, value: number): number {
  return scale.quantityAtNeutral + (value - scale.neutral) * scale.quantityPerUnit;
}

function displayed(scale: LinearScale, value: number): string {
  const text = value.toFixed(stepDigits(scale.step)).replace('-', '−');
  // On a scale around zero the sign is part of the reading.
  return scale.min < 0 && value > 0 ? `+${text}` : text;
}

function stepDigits(step: number): number {
  return (String(step).split('.')[1] ?? '').length;
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
