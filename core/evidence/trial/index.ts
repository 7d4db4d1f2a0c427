export { usualLevel } from './limits-for-seam.ts';
export { loosened, type LimitName } from './loosened.ts';
export { presetLimits } from './preset-limits.ts';
export { measuredFigure, measuredNames, type MeasuredFigure, type MeasuredName } from './measured.ts';
export { nearness, tooFar, type Difference, type Nearness, type WeldKind } from './nearest.ts';
export { timedFigures, timerErrorS, type TimedFigures } from './figures.ts';
export {
  backs,
  qualityLevels,
  usualLimits,
  type AcceptanceLimits,
  type BackLimit,
  type LimitsFor,
  type QualityLevel,
} from './limits.ts';
export {
  handPatterns,
  places,
  sounds,
  testKinds,
  testNames,
  timers,
  type Looked,
  type Place,
  type Sound,
  type SymptomAnswer,
  type Timer,
  type TrialMeasured,
  type TrialTest,
  type TrialTiming,
} from './record.ts';
export { sides, symptomCodes, symptoms, symptomsOn, type Side, type Symptom, type SymptomCode } from './symptoms.ts';
export {
  lineNames,
  severityNames,
  trialVerdict,
  type LineVerdict,
  type TrialVerdict,
  type VerdictLine,
  type VerdictLineCode,
} from './verdict.ts';
export { stepAt, sweepBand, sweepPlan, usualStride, type SweepBand, type SweepPlan, type SweepStep } from './sweep.ts';
export { passesInARow, passesInRow, trialPlan, type PlanItem, type PlanItemKind } from './trial-plan.ts';
export { otherBeat, type OtherBeat } from './other-beat.ts';
