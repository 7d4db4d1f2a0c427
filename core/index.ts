/** The physics of Fox Tempo: pure, no I/O, no clock, no randomness of its own. */
export {
  commonGasCodes,
  fillerCodes,
  fillerOf,
  fillers,
  gasOf,
  materialGroups,
  materialOf,
  materials,
  parseGas,
  wireAreaMm2,
  wireSizeLabel,
  wireSizes,
  type Filler,
  type FillerCode,
  type Gas,
  type Material,
  type MaterialGroup,
} from './consumables/index.ts';
export { bead, type BeadInput, type BeadResult } from './bead/index.ts';
export { calibrate, type Calibration, type CalibrationInput } from './calibration/index.ts';
export {
  co2Minutes,
  compressedMinutes,
  currentAtDuty,
  dutyPercent,
  seamGasL,
  spoolMinutes,
} from './consumption/index.ts';
export { doublePulse, type DoublePulseInput, type DoublePulseResult } from './double-pulse/index.ts';
export { heat, type HeatInput, type HeatResult } from './heat/index.ts';
export {
  beginSimulation,
  simulate,
  type Simulation,
  type SimulationInput,
  type SimulationMetrics,
  type TransferMode,
} from './simulation/index.ts';
export {
  programFromPlan,
  quantityUnits,
  translate,
  type ChartLine,
  type Dial,
  type DialQuantity,
  type DialSetting,
  type LinearScale,
  type Machine,
  type Program,
  type Translation,
} from './machine/index.ts';
export { melt, type MeltInput, type MeltResult } from './melting/index.ts';
export {
  failure,
  rangeIssue,
  ranges,
  success,
  type Issue,
  type Outcome,
  type RangedField,
  type Warning,
} from './outcome/index.ts';
export {
  jointRule,
  jointRules,
  joints,
  planSeam,
  positionName,
  positionRules,
  positions,
  type ArcHabit,
  type Band,
  type Joint,
  type Plan,
  type PlanFigures,
  type PlanInput,
  type Position,
  type Seam,
} from './plan/index.ts';
export {
  leadMs,
  pulseMeans,
  solvePulse,
  waveformPoints,
  type FastPulse,
  type PulseInput,
  type PulseResult,
  type WaveformPoint,
} from './pulse/index.ts';
export {
  formatForInput,
  formatQuantity,
  formatWithUnit,
  parseQuantity,
  quantities,
  quantity,
  type QuantityName,
  type UnitSystem,
} from './units/index.ts';
