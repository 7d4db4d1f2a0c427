export {
  chartLinesOf,
  mostChartLines,
  mostPoints,
  type ChartTable,
  type TableProblem,
} from './description/chart-table.ts';
export { asStands, type AsStands, type Observed, type PanelPoints } from './as-stands.ts';
export { chartLineFor, gasTrimMm, lookAlikes, runsOnLine, servesGas, searchChart } from './description/chart.ts';
export { usualFeeder, usualGunLengthM } from './description/usual-feeder.ts';
export { chartNumber, lineDial, toldDials } from './description/told-dials.ts';
export { missingOf, missingParts, rmsCurrentA, whyNot, type CannotWeld, type MissingPart } from './dials/can-weld.ts';
export { missingWords, whyNotWords } from './dials/why-not-words.ts';
export { cardOf } from './dials/card.ts';
export {
  measurable,
  unitFromTests,
  unitMeasures,
  type MeasuredQuantity,
  type UnitReading,
  type UnitScale,
} from './learning/unit-test.ts';
export { compareMachines, type ComparedLine, type Comparison } from './dials/compare.ts';
export { directionTestFor, triggerTestFor, withDirection, type DirectionTest } from './learning/direction.ts';
export { believableOffsetMm, neutralOffsetMm, wishedFigures, type Circuit } from './dials/wished.ts';
export { arcOf, type ArcOf, type WireAndMode } from './arc-of.ts';
export { swingFromTests, type SwingReading, type SwingScale } from './learning/swing-test.ts';
export { driftReport, type DriftLine } from './dials/drift.ts';
export { putBack, type PutBack } from './dials/put-back.ts';
export { slotState, slotStates, type SlotState } from './dials/slot-state.ts';
export { fitLine, modelAmps, type FittedPoint, type LineFit } from './learning/line-fit.ts';
export type {
  ChartLine,
  ChartPoint,
  Dial,
  DirectionEvidence,
  Display,
  Feeder,
  Machine,
  MachineLimits,
  Polarity,
  TriggerMode,
} from './description/machine.ts';
export {
  copperMOhm,
  ignitions,
  tipRules,
  type GunPaper,
  type Ignition,
  type TipRule,
} from './description/gun-paper.ts';
export { handOfDial } from './description/hand-of-dial.ts';
export { machineIssues } from './description/machine-issues.ts';
export { type NotCarried } from './dials/not-carried.ts';
export { programFromPlan, type Program, type ProgramPulse } from './program.ts';
export {
  dialQuantities,
  dialQuantityNames,
  quantityFacts,
  quantityText,
  type DialQuantity,
} from './description/quantities.ts';
export { readDials, type BesideDials, type DialReading } from './dials/read-dials.ts';
export {
  displayed,
  facets,
  isNumeric,
  quantityAt,
  quantityOf,
  type DialScale,
  type Facet,
  type LinearScale,
  type NumericScale,
} from './description/scales.ts';
export { habitOf, schoolOn, triggerModeFor, type ModeFor } from './description/trigger-mode.ts';
export { shouldShow, type ShouldShow } from './dials/should-show.ts';
export { withinMachine } from './dials/within-machine.ts';
export { asDialled, simulationOf, sourceVolts, type Faults } from './simulation-of.ts';
export type { DialSetting } from './dials/dial-setting.ts';
export { senseWords, taughtLine, translate, type ShownFigure, type Translation } from './dials/translate.ts';
export { drawnLatch, plainLatches, withPlainLatch, type PlainLatch } from './description/plain-latch.ts';
export { tapTargets, type HeldInSlot, type TapTarget } from './description/tap-calls.ts';
export { startLag, type StartLag } from './dials/start-lag.ts';
export {
  holdMode,
  holdTimedMode,
  latchLevelsMode,
  latchMode,
  latchSecondMode,
  spotMode,
  stitchMode,
  usualTriggerMode,
} from './description/usual-modes.ts';
