export {
  burnRateMmPerS,
  nextBurnBack,
  wireLefts,
  wireShapes,
  type BurnBackAdvice,
  type StopSeen,
  type WireLeft,
  type WireShape,
} from './burn-back.ts';
export type { ScoreCheck } from './checks.ts';
export { craterFill, type CraterFill } from './crater.ts';
export { evaluateSequence, mostSamples, type SequenceAnswer, type SequenceQuestion } from './evaluate.ts';
export { electricalOf, type ElectricalOf, type FeedElectrical } from './electrical.ts';
export { coldBelow, endMm, holdForWarmth, hotAbove, type EndJudged, type EndsJudged } from './ends.ts';
export { gunPath, type GunPath } from './gun-path.ts';
export { ignitionDelayS, leadS, rulesOf, seamScore, type SeamScore } from './intended.ts';
export { sequenceOnMachine, type PartOnMachine, type SequenceOnMachine } from './on-machine.ts';
export { cueFor, playedAgainst, type Cue, type PlayedPart } from './cue.ts';
export { countWords, handPresses, pressLines, type HandPress } from './presses.ts';
export { levelSpan, sampleScore, type ScoreSample } from './samples.ts';
export { scoreOf, type ScoreOf, type ScoreSeam } from './score.ts';
export { stitchPlan, tackMmOf, tackRanges, tackSchedule, type StitchPlan, type TackSchedule } from './tacks.ts';
export { phaseTrimMm, scoreTotals, type PhaseSum, type ScoreTotals } from './totals.ts';
export { foldAt, foldRoom, foldsOf, timeMap, type Fold, type TimeMap } from './time-map.ts';
export { taperPlan, taperRanges, type Taper, type TaperStation } from './taper.ts';
