export { currentAtDuty, dutyFromPlate, dutyPercent } from './duty.ts';
export { chartLinesOf, mostChartLines, mostPoints, type ChartTable, type TableProblem } from './chart-table.ts';
export { chartLineFor, gasTrimMm, lookAlikes, runsOnLine, servesGas, searchChart } from './chart.ts';
export { usualFeeder, usualGunLengthM } from './usual-feeder.ts';
export { chartNumber, lineDial, toldDials } from './told-dials.ts';
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
} from './machine.ts';
export { copperMOhm, ignitions, tipRules, type GunPaper, type Ignition, type TipRule } from './gun-paper.ts';
export { handOfDial } from './hand-of-dial.ts';
export { machineIssues } from './machine-issues.ts';
export { dialQuantities, dialQuantityNames, quantityFacts, type DialQuantity } from './quantities.ts';
export { quantityText } from './quantity-words.ts';
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
export { drawnLatch, plainLatches, withPlainLatch, type PlainLatch } from './plain-latch.ts';
export { tapTargets, type HeldInSlot, type TapTarget } from './tap-calls.ts';
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
