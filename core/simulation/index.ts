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
export {
  beginSimulation,
  settlingS,
  simulate,
  warmState,
  type RunningSimulation,
  type Simulation,
  type SimulationTrace,
  type StartStopResult,
} from './simulate.ts';
export { buildSource, nominalCircuitMOhm, type PulseSource, type Source } from './source.ts';
export { drivenArc, longestSliceS, type DriveCommand, type DrivenArc, type DrivenSlice } from './driven.ts';
