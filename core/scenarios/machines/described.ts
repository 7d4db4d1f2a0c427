/** Short forms for describing the demo machines: chart lines with their words, and the trigger modes that several of them share. */
import { modeName } from '../../plan/index.ts';
import { type FillerCode, fillerOf, gasName } from '../../consumables/index.ts';
import { type ChartLine, type ChartPoint, type Dial } from '../../machine/index.ts';
import type { PlanMode } from '../../plan/index.ts';

type Row = readonly [
  number: number,
  filler: FillerCode,
  diameterMm: number,
  gas: string,
  mode: PlanMode,
  points?: readonly ChartPoint[],
];

export function chart(rows: readonly Row[]): ChartLine[] {
  return rows.map(([number, filler, diameterMm, gas, mode, points]) => ({
    number,
    words: `${fillerOf(filler).name.split(',')[0] ?? filler} ${diameterMm.toFixed(1)}, ${gasName(gas)}${mode === 'pulse' ? '' : `, ${modeName(mode)}`}`,
    filler,
    diameterMm,
    gas,
    mode,
    ...(points ? { points } : {}),
  }));
}

/** A dial in proportion, with its travel as [min, max, step]. */
export function proportional(
  face: Omit<Dial, 'scale'>,
  quantity: 'wireFeedMPerMin' | Extract<Dial['scale'], { kind: 'linear' }>['quantity'],
  [min, max, step]: readonly [number, number, number],
  { neutral = 0, at = 0, per = 1 } = {},
): Dial {
  return {
    ...face,
    scale: { kind: 'linear', quantity, neutral, quantityAtNeutral: at, quantityPerUnit: per, min, max, step },
  };
}
