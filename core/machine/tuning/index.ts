export { feedHabits, trimAfterFeed, type FeedHabit } from './habits.ts';
export { stepDial, withQuantity, type DialMove } from './step-dial.ts';
export { isUntuned, noTune, pulseNumbers, tuned, tunedPulse, type PulseNumber, type Tune } from './tune.ts';
export {
  maskingOf,
  otherSizeMm,
  showThroughOf,
  whatIfInput,
  whatIfs,
  whatIfSizes,
  type Masking,
  type WhatIf,
} from './what-if.ts';
