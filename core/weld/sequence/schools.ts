/** The trigger schools as data: what a hand does in each, and which phases it can have. Order matters: nearest stand-ins are looked for from the top. */
import { message, type Phrase } from '../../base/messages/index.ts';

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
    name: message('sequence.held-while-welding'),
    hand: message('sequence.trigger.held-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold-timed', 'latch'],
  },
  'hold-timed': {
    name: message('sequence.trigger.held-timed'),
    hand: message('sequence.trigger.held-timed-how'),
    ends: 'timed',
    second: false,
    latches: false,
    nearest: ['latch-levels', 'hold', 'latch'],
  },
  latch: {
    name: message('sequence.trigger.latched'),
    hand: message('sequence.trigger.latched-how'),
    ends: 'none',
    second: false,
    latches: true,
    nearest: ['hold', 'latch-levels', 'hold-timed'],
  },
  'latch-levels': {
    name: message('sequence.trigger.latched-start-end'),
    hand: message('sequence.trigger.latched-start-end-how'),
    ends: 'held',
    second: false,
    latches: true,
    nearest: ['latch-second', 'hold-timed', 'latch', 'hold'],
  },
  'latch-second': {
    name: message('sequence.trigger.latched-second-level'),
    hand: message('sequence.trigger.latched-second-level-how'),
    ends: 'held',
    second: true,
    latches: true,
    nearest: ['latch-levels', 'hold-timed', 'latch', 'hold'],
  },
  spot: {
    name: message('sequence.trigger.spot'),
    hand: message('sequence.trigger.spot-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold'],
  },
  stitch: {
    name: message('sequence.trigger.stitch'),
    hand: message('sequence.trigger.stitch-how'),
    ends: 'none',
    second: false,
    latches: false,
    nearest: ['hold', 'spot'],
  },
};
