/** The trigger schools as data: what a hand does in each, and which phases it can have. Order matters: nearest stand-ins are looked for from the top. */

export const triggerSchools = [
  'hold',
  'hold-timed',
  'latch',
  'latch-levels',
  'latch-second',
  'spot',
  'stitch',
] as const;
export type TriggerSchool = (typeof triggerSchools)[number];

export interface SchoolFacts {
  readonly name: string;
  /** What the hand does, in one sentence. */
  readonly hand: string;
  /** Start level with its slope, and end level with its slope: by their own time, while held, or not at all. */
  readonly ends: 'timed' | 'held' | 'none';
  readonly second: boolean;
  /** The weld goes on when the trigger is let go. */
  readonly latches: boolean;
  /** Schools that come nearest where a machine has not got this one, best first. */
  readonly nearest: readonly TriggerSchool[];
}

export const schoolFacts: Readonly<Record<TriggerSchool, SchoolFacts>> = {
  hold: {
    name: 'held while welding',
    hand: 'Press and hold while you weld; let go to stop.',
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold-timed', 'latch'],
  },
  'hold-timed': {
    name: 'held, with timed start and end',
    hand: 'Press and hold while you weld; start and end run by their own time, let go and stay until the arc stops.',
    ends: 'timed',
    second: false,
    latches: false,
    nearest: ['latch-levels', 'hold', 'latch'],
  },
  latch: {
    name: 'latched by a press',
    hand: 'Press and let go: it welds on. Press again to stop.',
    ends: 'none',
    second: false,
    latches: true,
    nearest: ['hold', 'latch-levels', 'hold-timed'],
  },
  'latch-levels': {
    name: 'latched, start and end while held',
    hand: 'Press and hold for the start, let go for the main level, press and hold for the crater, let go to stop.',
    ends: 'held',
    second: false,
    latches: true,
    nearest: ['latch-second', 'hold-timed', 'latch', 'hold'],
  },
  'latch-second': {
    name: 'latched, with a second level on a tap',
    hand: 'Press and hold for the start, let go; a tap changes between main and second level; press and hold for the crater, let go to stop.',
    ends: 'held',
    second: true,
    latches: true,
    nearest: ['latch-levels', 'hold-timed', 'latch', 'hold'],
  },
  spot: {
    name: 'one spot by the clock',
    hand: 'Press: one spot of set length. Letting go early stops it.',
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold'],
  },
  stitch: {
    name: 'stitches by the clock while held',
    hand: 'Press and hold: weld and pause follow each other until you let go.',
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold', 'spot'],
  },
};
