export {
  constantErrors,
  calibrationOf,
  neutralNudges,
  correctedWire,
  wireInGas,
  type CalibratedWire,
  type Nudges,
  type WireCorrection,
  type WireInGas,
} from './constants.ts';
export { nominalCircuitMOhm } from './circuit.ts';
export { pulseLineMm } from './line.ts';
export { transitionCurrentA } from './transition.ts';
export { arcElectrical, type ArcElectrical } from './voltage.ts';
