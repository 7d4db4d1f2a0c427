/** The trigger schools as data: what a hand does in each, and which phases it can have. Order matters: nearest stand-ins are looked for from the top. */
import { say, type Phrase } from '../said/index.ts';

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
  readonly name: Phrase;
  /** What the hand does, in one sentence. */
  readonly hand: Phrase;
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
    name: say('sequence.held-while-welding'),
    hand: say('sequence.press-and-hold-while-you'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold-timed', 'latch'],
  },
  'hold-timed': {
    name: say('sequence.held-with-timed-start-and'),
    hand: say('sequence.press-and-hold-while-you-2'),
    ends: 'timed',
    second: false,
    latches: false,
    nearest: ['latch-levels', 'hold', 'latch'],
  },
  latch: {
    name: say('sequence.latched-by-a-press'),
    hand: say('sequence.press-and-let-go-it'),
    ends: 'none',
    second: false,
    latches: true,
    nearest: ['hold', 'latch-levels', 'hold-timed'],
  },
  'latch-levels': {
    name: say('sequence.latched-start-and-end-while'),
    hand: say('sequence.press-and-hold-for-the'),
    ends: 'held',
    second: false,
    latches: true,
    nearest: ['latch-second', 'hold-timed', 'latch', 'hold'],
  },
  'latch-second': {
    name: say('sequence.latched-with-a-second-level'),
    hand: say('sequence.press-and-hold-for-the-2'),
    ends: 'held',
    second: true,
    latches: true,
    nearest: ['latch-levels', 'hold-timed', 'latch', 'hold'],
  },
  spot: {
    name: say('sequence.one-spot-by-the-clock'),
    hand: say('sequence.press-one-spot-of-set'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold'],
  },
  stitch: {
    name: say('sequence.stitches-by-the-clock-while'),
    hand: say('sequence.press-and-hold-weld-and'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold', 'spot'],
  },
};
