/** The trigger modes that machines usually have, drawn as states: to begin a description with, and for the demo machines. */
import type { TriggerSchool } from '../../weld/sequence/index.ts';
import { drawnLatch, type PlainLatch } from './plain-latch.ts';
import type { TriggerMode } from './machine.ts';

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

/** A mode of a school as machines usually have it, under the machine's own word for it; nobody has tried it yet. */
export function usualTriggerMode(school: TriggerSchool, label: string, id: string): TriggerMode {
  return { ...drawn(school, label), id, label, senseTested: false };
}

function drawn(school: TriggerSchool, label: string): TriggerMode {
  switch (school) {
    case 'hold':
      return holdMode;
    case 'hold-timed':
      return holdTimedMode(label);
    case 'latch':
      return latchMode(label, { startsOn: 'press', endsOn: 'press' });
    case 'latch-levels':
      return latchLevelsMode(label);
    case 'latch-second':
      return latchSecondMode(label);
    case 'spot':
      return spotMode(label);
    case 'stitch':
      return stitchMode(label);
  }
}
