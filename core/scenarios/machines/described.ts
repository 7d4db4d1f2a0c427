/** Short forms for describing the demo machines: chart lines with their words, and the trigger modes that several of them share. */
import { fillerOf, gasOf, type FillerCode } from '../../consumables/index.ts';
import {
  drawnLatch,
  type ChartLine,
  type ChartPoint,
  type Dial,
  type PlainLatch,
  type TriggerMode,
} from '../../machine/index.ts';
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

export function latchMode(label: string, plain: PlainLatch): TriggerMode {
  return { id: 'latch', label, school: 'latch', ...drawnLatch(plain) };
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

export function latchSecondMode(label: string): TriggerMode {
  return {
    id: 'latch-second',
    label,
    school: 'latch-second',
    states: ['rest', 'start level', 'main', 'second level', 'end level', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'start level' },
      { from: 'start level', on: 'release', to: 'main' },
      { from: 'main', on: 'tap', to: 'second level' },
      { from: 'second level', on: 'tap', to: 'main' },
      { from: 'main', on: 'press', to: 'end level' },
      { from: 'second level', on: 'press', to: 'end level' },
      { from: 'end level', on: 'release', to: 'gas after' },
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
  };
}

export function spotMode(label: string): TriggerMode {
  return {
    id: 'spot',
    label,
    school: 'spot',
    states: ['rest', 'spot', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'spot' },
      { from: 'spot', on: 'time', to: 'gas after' },
      { from: 'spot', on: 'release', to: 'gas after' },
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
  };
}

export function stitchMode(label: string): TriggerMode {
  return {
    id: 'stitch',
    label,
    school: 'stitch',
    states: ['rest', 'stitch', 'pause', 'gas after'],
    moves: [
      { from: 'rest', on: 'press', to: 'stitch' },
      { from: 'stitch', on: 'time', to: 'pause' },
      { from: 'pause', on: 'time', to: 'stitch' },
      { from: 'stitch', on: 'release', to: 'gas after' },
      { from: 'pause', on: 'release', to: 'gas after' },
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
