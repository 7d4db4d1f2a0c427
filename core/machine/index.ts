export {
  chartLineFor,
  gasTrimMm,
  lookAlikes,
  runsOnLine,
  servesGas,
  sameSizeMm,
  sameWire,
  searchChart,
} from './chart.ts';
export { compareMachines, type ComparedLine, type Comparison } from './compare.ts';
export { directionTestFor, triggerTestFor, withDirection, type DirectionTest } from './direction.ts';
export { believableOffsetMm, neutralOffsetMm, unalignedMOhm, wishedFigures, type Circuit } from './wished.ts';
export { arcOf, correctionFor, type ArcOf, type WireAndMode } from './arc-of.ts';
export { swingFromTests, type SwingReading, type SwingScale } from './swing-test.ts';
export { driftReport, type DriftLine } from './drift.ts';
export { fitLine, modelAmps, type FittedPoint, type LineFit } from './line-fit.ts';
export type {
  ChartLine,
  ChartPoint,
  Dial,
  DirectionEvidence,
  Display,
  Feeder,
  Machine,
  MachineCorrection,
  MachineLimits,
  Polarity,
  TriggerMode,
} from './machine.ts';
export { machineIssues } from './machine-issues.ts';
export { type NotCarried } from './not-carried.ts';
export { programFromPlan, type Program, type ProgramPulse } from './program.ts';
export { dialQuantities, dialQuantityNames, quantityFacts, quantityText, type DialQuantity } from './quantities.ts';
export { readDials, type BesideDials, type DialReading } from './read-dials.ts';
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
} from './scales.ts';
export { habitOf, schoolOn, triggerModeFor, type ModeFor } from './trigger-mode.ts';
export { shouldShow, type ShouldShow } from './should-show.ts';
export { withinMachine } from './within-machine.ts';
export { asDialled, simulationOf, sourceVolts, type Faults } from './simulation-of.ts';
export type { DialSetting } from './dial-setting.ts';
export { senseWords, taughtLine, translate, type ShownFigure, type Translation } from './translate.ts';
export { drawnLatch, plainLatches, withPlainLatch, type PlainLatch } from './plain-latch.ts';
export { tapTargets, type HeldInSlot, type TapTarget } from './tap-calls.ts';
export { startLag, type StartLag } from './start-lag.ts';
export {
  holdMode,
  holdTimedMode,
  latchLevelsMode,
  latchMode,
  latchSecondMode,
  spotMode,
  stitchMode,
  usualTriggerMode,
} from './usual-modes.ts';
