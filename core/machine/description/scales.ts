/**
 * The mapping language: how a dial's own numbers stand for a physical quantity. Every kind can be read both ways.
 * A dial that moves two quantities at once is a linear one with `also`.
 */
import type { DialQuantity } from './quantities.ts';

/** The dial's own numbers. */
export interface Travel {
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/** quantity = quantityAtNeutral + (value − neutral) × quantityPerUnit. */
export interface LinearScale extends Travel {
  readonly kind: 'linear';
  readonly quantity: DialQuantity;
  readonly neutral: number;
  readonly quantityAtNeutral: number;
  /** Negative when the dial runs the other way. */
  readonly quantityPerUnit: number;
  /** A second quantity that the same dial drags along: moved by this much per unit away from neutral. */
  readonly also?: { readonly quantity: DialQuantity; readonly quantityPerUnit: number } | undefined;
}

/** quantity = value % of what another dial reaches. */
export interface PercentScale extends Travel {
  readonly kind: 'percent-of';
  readonly quantity: DialQuantity;
  /** Id of the other dial. */
  readonly of: string;
}

/** Volts above or below the machine's line; in millimetres of arc this depends on wire and gas. */
export interface LineOffsetScale extends Travel {
  readonly kind: 'line-offset';
  readonly neutral: number;
  readonly voltsPerUnit: number;
}

/** quantity = product / value: a period for a frequency, seconds per metre for a speed. */
export interface InverseScale extends Travel {
  readonly kind: 'inverse';
  readonly quantity: DialQuantity;
  readonly product: number;
}

/** A rotary switch: each position stands for one figure of the quantity. */
export interface SteppedScale {
  readonly kind: 'stepped';
  readonly quantity: DialQuantity;
  readonly positions: readonly { readonly label: string; readonly quantity: number }[];
}

/** Positions with a word or picture and no number. */
export interface NamedScale {
  readonly kind: 'named';
  readonly facet: Facet;
  readonly positions: readonly { readonly label: string; readonly is: readonly string[] }[];
}

/** What a named position can choose. */
export type Facet = 'mode' | 'filler' | 'trigger';
export const facets: readonly Facet[] = ['mode', 'filler', 'trigger'];

/** The control that picks a line of the chart inside the door. */
export interface ChartLineScale {
  readonly kind: 'chart-line';
}

export type NumericScale = LinearScale | PercentScale | LineOffsetScale | InverseScale | SteppedScale;
export type DialScale = NumericScale | NamedScale | ChartLineScale;

/** What a scale needs to know besides its own numbers. */
export interface ScaleContext {
  /** Volts per mm of arc of the wire in its gas. */
  readonly fieldVPerMm: number;
  /** What another dial reaches; undefined when it is not set. */
  readonly reached: (dialId: string) => number | undefined;
}

/** The quantity a numeric scale moves. */
export function quantityOf(scale: NumericScale): DialQuantity {
  return scale.kind === 'line-offset' ? 'trimMm' : scale.quantity;
}

/** Quantity at a dial value; undefined where the other dial it leans on is not set. */
export function quantityAt(scale: NumericScale, value: number, context: ScaleContext): number | undefined {
  switch (scale.kind) {
    case 'linear':
      return scale.quantityAtNeutral + (value - scale.neutral) * scale.quantityPerUnit;
    case 'percent-of': {
      const base = context.reached(scale.of);
      return base === undefined ? undefined : (base * value) / 100;
    }
    case 'line-offset':
      return ((value - scale.neutral) * scale.voltsPerUnit) / context.fieldVPerMm;
    case 'inverse':
      return scale.product / value;
    case 'stepped':
      return scale.positions[value]?.quantity;
  }
}

/** The dial value, not yet rounded to a step nor held between the ends, at which the scale would give the quantity. */
function exactValue(
  scale: Exclude<NumericScale, SteppedScale>,
  wished: number,
  context: ScaleContext,
): number | undefined {
  switch (scale.kind) {
    case 'linear':
      return scale.neutral + (wished - scale.quantityAtNeutral) / scale.quantityPerUnit;
    case 'percent-of': {
      const base = context.reached(scale.of);
      return base === undefined || base === 0 ? undefined : (100 * wished) / base;
    }
    case 'line-offset':
      return scale.neutral + (wished * context.fieldVPerMm) / scale.voltsPerUnit;
    case 'inverse':
      return wished === 0 ? Infinity : scale.product / wished;
  }
}

/** Nearest dial value that exists (for a switch: the index of its position) and whether an end of the dial stopped it. */
export function nearestValue(
  scale: NumericScale,
  wished: number,
  context: ScaleContext,
): { readonly value: number; readonly clipped: boolean } | undefined {
  if (scale.kind === 'stepped') {
    const figures = scale.positions.map((position) => position.quantity);
    if (figures.length === 0) return undefined;
    const value = figures.reduce(
      (best, figure, at) => (Math.abs(figure - wished) < Math.abs((figures[best] ?? Infinity) - wished) ? at : best),
      0,
    );
    return { value, clipped: wished > Math.max(...figures) || wished < Math.min(...figures) };
  }
  const exact = exactValue(scale, wished, context);
  if (exact === undefined || Number.isNaN(exact)) return undefined;
  const { min, max, step } = scale;
  // An end off the step's raster still exists on the dial.
  const stepped = Math.abs(exact) === Infinity ? exact : min + Math.round((exact - min) / step) * step;
  // Rounding to the step's digits may pass an end that binary fractions left a hair short: hold it between the ends last.
  const rounded = Number(Math.min(Math.max(stepped, min), max).toFixed(stepDigits(step)));
  const value = Math.min(Math.max(rounded, min), max);
  return { value, clipped: exact < min - step / 2 - 1e-9 || exact > max + step / 2 + 1e-9 };
}

/** Half of what one step of the dial moves at `value`: the most that rounding can miss. */
export function halfStep(scale: NumericScale, value: number, context: ScaleContext): number {
  if (scale.kind === 'stepped') {
    const figures = scale.positions.map((position) => position.quantity).sort((a, b) => a - b);
    return Math.max(0, ...figures.slice(1).map((figure, at) => figure - (figures[at] ?? figure))) / 2;
  }
  const around = [value - scale.step / 2, value + scale.step / 2].map((at) => quantityAt(scale, at, context) ?? 0);
  const here = quantityAt(scale, value, context) ?? 0;
  return Math.max(...around.map((at) => Math.abs(at - here)));
}

/** The value as that machine shows it. */
export function displayed(scale: DialScale, value: number): string {
  if (scale.kind === 'chart-line') return String(value);
  if (scale.kind === 'stepped' || scale.kind === 'named') return scale.positions[value]?.label ?? '?';
  const text = value.toFixed(stepDigits(scale.step)).replace('-', '−');
  // On a scale around zero the sign is part of the reading.
  return scale.min < 0 && value > 0 ? `+${text}` : text;
}

/** The same scale with its sense turned round about its neutral point; undefined where a scale has no sense to turn. */
export function mirrored(scale: DialScale): LinearScale | LineOffsetScale | undefined {
  if (scale.kind === 'linear') return { ...scale, quantityPerUnit: -scale.quantityPerUnit };
  if (scale.kind === 'line-offset') return { ...scale, voltsPerUnit: -scale.voltsPerUnit };
  return undefined;
}

export function isNumeric(scale: DialScale): scale is NumericScale {
  return scale.kind !== 'chart-line' && scale.kind !== 'named';
}

function stepDigits(step: number): number {
  const [digits = '', exponent] = String(step).split('e-');
  return (digits.split('.')[1] ?? '').length + Number(exponent ?? 0);
}
