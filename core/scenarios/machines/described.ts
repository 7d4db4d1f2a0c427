/** Short forms for describing the demo machines: chart lines with their words, and the trigger modes that several of them share. */
import { fillerOf, gasOf, type FillerCode } from '../../consumables/index.ts';
import type { ChartLine, ChartPoint, Dial, TriggerMode } from '../../machine/index.ts';
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
    words: `${fillerOf(filler).name.split(',')[0] ?? filler} ${diameterMm.toFixed(1)}, ${gas === 'none' ? 'no gas' : gasOf(gas).name}${mode === 'pulse' ? '' : `, ${mode.replace('-', ' ')}`}`,
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

export const holdMode: TriggerMode = {
  id: 'hold',
  label: 'Hold',
  school: 'hold',
  states: ['rest', 'weld', 'gas after'],
  moves: [
    { from: 'rest', on: 'press', to: 'weld' },
    { from: 'weld', on: 'release', to: 'gas after' },
    { from: 'gas after', on: 'time', to: 'rest' },
    { from: 'gas after', on: 'press', to: 'weld' },
  ],
};

export function latchMode(label: string): TriggerMode {
  return {
    id: 'latch',
    label,
    school: 'latch',
    states: ['rest', 'gas', 'weld', 'ending', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'gas' },
      { from: 'gas', on: 'release', to: 'weld' },
      { from: 'weld', on: 'press', to: 'ending' },
      { from: 'ending', on: 'release', to: 'gas after' },
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
  };
}

export function latchLevelsMode(label: string): TriggerMode {
  return {
    id: 'latch-levels',
    label,
    school: 'latch-levels',
    states: ['rest', 'start level', 'main', 'end level', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'start level' },
      { from: 'start level', on: 'release', to: 'main' },
      { from: 'main', on: 'press', to: 'end level' },
      { from: 'end level', on: 'release', to: 'gas after' },
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
  };
}

export function holdTimedMode(label: string): TriggerMode {
  return {
    id: 'hold-timed',
    label,
    school: 'hold-timed',
    states: ['rest', 'timed start', 'main', 'timed end', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'timed start' },
      { from: 'timed start', on: 'time', to: 'main' },
      { from: 'main', on: 'release', to: 'timed end' },
      { from: 'timed end', on: 'time', to: 'gas after' },
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
  };
}
