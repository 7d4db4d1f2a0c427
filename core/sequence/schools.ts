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
    hand: say('sequence.trigger.held-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold-timed', 'latch'],
  },
  'hold-timed': {
    name: say('sequence.trigger.held-timed'),
    hand: say('sequence.trigger.held-timed-how'),
    ends: 'timed',
    second: false,
    latches: false,
    nearest: ['latch-levels', 'hold', 'latch'],
  },
  latch: {
    name: say('sequence.trigger.latched'),
    hand: say('sequence.trigger.latched-how'),
    ends: 'none',
    second: false,
    latches: true,
    nearest: ['hold', 'latch-levels', 'hold-timed'],
  },
  'latch-levels': {
    name: say('sequence.trigger.latched-start-end'),
    hand: say('sequence.trigger.latched-start-end-how'),
    ends: 'held',
    second: false,
    latches: true,
    nearest: ['latch-second', 'hold-timed', 'latch', 'hold'],
  },
  'latch-second': {
    name: say('sequence.trigger.latched-second-level'),
    hand: say('sequence.trigger.latched-second-level-how'),
    ends: 'held',
    second: true,
    latches: true,
    nearest: ['latch-levels', 'hold-timed', 'latch', 'hold'],
  },
  spot: {
    name: say('sequence.trigger.spot'),
    hand: say('sequence.trigger.spot-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold'],
  },
  stitch: {
    name: say('sequence.trigger.stitch'),
    hand: say('sequence.trigger.stitch-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold', 'spot'],
  },
};
