export { contact, type ArcState } from './arc-state.ts';
export { classify, transferWords, type TransferMode } from './classify.ts';
export { advance } from './engine.ts';
export { buildModel, type ArcModel, type ArcSetup } from './model.ts';
export type {
  ConstantVoltageInput,
  ControlSchool,
  PulseSourceInput,
  SimulationInput,
  StartStopInput,
} from './input.ts';
export type { SimulationMetrics } from './metrics.ts';
export { inductanceUh, modeThresholds } from './params.ts';
export { Recorder } from './recorder.ts';
export { warmState } from './prepare.ts';
export { beginSimulation, settlingS, simulate, type RunningSimulation, type Simulation } from './simulate.ts';
export type { StartStopResult } from './stop.ts';
export type { SimulationTrace } from './trace.ts';
export { buildSource, type PulseSource, type Source } from './source.ts';
export { drivenArc, longestSliceS, type DriveCommand, type DrivenArc, type DrivenSlice } from './driven.ts';
