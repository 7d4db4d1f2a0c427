/** Where a weld stands in its sequence, and what the machine needs to know to go on. Plain data: copied, compared, stored. */
import type { TriggerSequence } from './trigger-sequence.ts';

export const phases = [
  'pre-gas',
  'run-in',
  'start',
  'slope-in',
  'main',
  'second',
  'slope-out',
  'end',
  'burn-back',
  'post-gas',
  'idle',
] as const;
export type Phase = (typeof phases)[number];

/** What can happen: the hand, the arc lighting, or a phase's time being over. */
export const happenings = ['press', 'release', 'arc', 'time'] as const;
export type Happening = (typeof happenings)[number];

export interface SequenceState {
  readonly phase: Phase;
  readonly sinceS: number;
  /** The trigger is down now. */
  readonly held: boolean;
  /** The trigger has been let go since the press that began or is to end the weld. */
  readonly letGo: boolean;
  /** When the arc of this weld lit; null without one. */
  readonly litS: number | null;
  /** A press that is a tap if it is short and the end if it is not: when it came. */
  readonly undecidedS: number | null;
  /** Plain latching: the press that is to stop the weld is down. */
  readonly stopping: boolean;
  /** Level at which a slope began, percent. */
  readonly slopeFrom: number;
  /** Between two stitches, with the gas on and the trigger held. */
  readonly pausing: boolean;
  /** Pressed again while the gas of the last weld still flowed: there is nothing to wait for. */
  readonly gasStands: boolean;
}

export const atRest: SequenceState = {
  phase: 'idle',
  sinceS: 0,
  held: false,
  letGo: false,
  litS: null,
  undecidedS: null,
  stopping: false,
  slopeFrom: 100,
  pausing: false,
  gasStands: false,
};

/** How a machine takes presses, where machines differ under one name. */
export interface TriggerHabit {
  /** Plain latching: the wire starts at the first press, or only when it is let go. */
  readonly startsOn: 'press' | 'release';
  /** Plain latching: the arc stops at the second press, or when that is let go. */
  readonly endsOn: 'press' | 'release';
  /** Longest held crater, s; null where the machine has no time-out. */
  readonly endLimitS: number | null;
}

export const usualHabit: TriggerHabit = { startsOn: 'press', endsOn: 'press', endLimitS: null };

export interface SequenceRules {
  readonly sequence: TriggerSequence;
  readonly habit: TriggerHabit;
  /** False for self-shielded wire: no gas phases are waited for. */
  readonly hasGas: boolean;
}

/** A contact that bounces: shorter presses are no presses, s. */
export const bounceS = 0.06;
/** A press up to this long is a tap where taps mean something, s. Assumed; machines differ. */
export const longestTapS = 0.3;
/** A wire that finds no arc for so long is stopped, s. Assumed. */
export const noArcS = 3;
/** With shielding gas a weld never ends with less gas after it than this, s. */
export const leastPostGasS = 0.2;
