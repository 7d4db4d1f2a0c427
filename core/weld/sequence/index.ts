export { eventIssues, sequenceIssues, unusedPhases, type UnusedPhase } from './issues.ts';
export {
  beatFactor,
  hasBeat,
  isLit,
  percentAt,
  phaseAt,
  playSequence,
  withoutBounces,
  type Play,
  type PlayedPhase,
  type TriggerEvent,
} from './play.ts';
export { schoolFacts, triggerSchools, type SchoolFacts, type TriggerSchool } from './schools.ts';
export {
  atRest,
  bounceS,
  happenings,
  leastPostGasS,
  longestTapS,
  noArcS,
  phases,
  usualHabit,
  type Happening,
  type Phase,
  type SequenceRules,
  type SequenceState,
  type TriggerHabit,
} from './state.ts';
export { countTaps, tapGapS, type TapCall } from './taps.ts';
export { sequenceTemplates, type SequenceTemplate } from './templates.ts';
export { deadlineS, levelAt, transition, type Happened } from './transition.ts';
export {
  mostTaps,
  plainSequence,
  sequenceNumbers,
  sequenceRanges,
  type SequenceNumber,
  type TriggerSequence,
} from './trigger-sequence.ts';
export { usualSequence } from './usual-sequence.ts';
export { advanced, happened, livePlay, recordOf, type LivePlay } from './live.ts';
export { explained, phaseNames, waitsFor } from './words.ts';
