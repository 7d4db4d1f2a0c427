/** Figures that can be read, heard or measured on a trial: how each is held against what was predicted, and how far off a sound weld is. */
import { amount, message, type Amount, type Said } from '../../base/messages/index.ts';
import type { Found } from './predict.ts';

export interface Measured {
  readonly displayedCurrentA?: number | undefined;
  readonly displayedVoltageV?: number | undefined;
  readonly pulseHz?: number | undefined;
  readonly shortsPerS?: number | undefined;
  readonly legsMm?: readonly [number, number] | undefined;
  readonly widthMm?: number | undefined;
  /** Taken and kept; the model has no height of its own. */
  readonly heightMm?: number | undefined;
  readonly travelMmPerMin?: number | undefined;
}

export type MeasureName =
  | 'displayedCurrentA'
  | 'displayedVoltageV'
  | 'pulseHz'
  | 'shortsPerS'
  | 'legMm'
  | 'legRatio'
  | 'widthMm'
  | 'travelMmPerMin';

interface Measure {
  readonly name: Said;
  readonly say: (value: number) => Amount;
  /** Found held against predicted; ratios as logarithms, counts as logarithms of one more. */
  readonly apart: (found: number, predicted: number) => number;
  /** The figure that lies so far apart from the predicted one. */
  readonly back: (predicted: number, apart: number) => number;
  /** Spread of `apart` over sound welds and readings; assumed, the display as in the design's case. */
  readonly sigma: (predicted: number) => number;
}

const difference = (found: number, predicted: number) => found - predicted;
const sum = (predicted: number, apart: number) => predicted + apart;
const times = (predicted: number, apart: number) => predicted * Math.exp(apart);
const ratio = (found: number, predicted: number) => Math.log(Math.max(found, 1e-6) / Math.max(predicted, 1e-6));

export const measures: Readonly<Record<MeasureName, Measure>> = {
  displayedCurrentA: {
    name: message('judge.displayed-current'),
    say: (value) => amount('current', value, 0),
    apart: difference,
    back: sum,
    sigma: () => 5,
  },
  displayedVoltageV: {
    name: message('judge.displayed-voltage'),
    say: (value) => amount('voltage', value, 1),
    apart: difference,
    back: sum,
    sigma: () => 0.5,
  },
  pulseHz: {
    name: message('judge.pulse-rate'),
    say: (value) => amount('frequency', value, 0),
    apart: ratio,
    back: times,
    sigma: () => 0.05,
  },
  shortsPerS: {
    name: message('judge.shorts-a-second'),
    say: (value) => amount('plain', value, 0),
    apart: (found, predicted) => Math.log((1 + found) / (1 + predicted)),
    back: (predicted, apart) => (1 + predicted) * Math.exp(apart) - 1,
    sigma: () => 0.8,
  },
  legMm: {
    name: message('judge.leg'),
    say: (value) => amount('shortLength', value, 1),
    apart: difference,
    back: sum,
    sigma: (predicted) => Math.max(0.3, 0.08 * predicted),
  },
  legRatio: {
    name: message('judge.leg-ratio'),
    say: (value) => amount('plain', value, 2),
    apart: ratio,
    back: times,
    sigma: () => 0.1,
  },
  widthMm: {
    name: message('judge.width'),
    say: (value) => amount('shortLength', value, 1),
    apart: difference,
    back: sum,
    sigma: (predicted) => Math.max(0.8, 0.15 * predicted),
  },
  travelMmPerMin: {
    name: message('judge.travel'),
    say: (value) => amount('travel', value, 0),
    apart: ratio,
    back: times,
    sigma: () => 0.1,
  },
};

/** The figures that were found, one leg for two. */
export function foundFigures({ legsMm, heightMm: _height, ...rest }: Measured): Partial<Record<MeasureName, number>> {
  const figures: Partial<Record<MeasureName, number>> = {};
  for (const [name, value] of Object.entries(rest)) if (value !== undefined) figures[name as MeasureName] = value;
  if (legsMm) {
    figures.legMm = (legsMm[0] + legsMm[1]) / 2;
    figures.legRatio = Math.max(...legsMm) / Math.min(...legsMm);
  }
  return figures;
}

/** How far a found figure lies from a prediction, as the belief counts it. */
export function apartFrom(found: Partial<Record<MeasureName, number>>, predicted: Found): Record<string, number> {
  return Object.fromEntries(
    Object.entries(found)
      // A mode without pulses has no rate that could be off.
      .filter(([name]) => name !== 'pulseHz' || predicted.pulseHz > 0)
      .map(([name, value]) => [name, measures[name as MeasureName].apart(value, predicted[name as MeasureName])]),
  );
}
