export {
  constantErrors,
  neutralNudges,
  correctedWire,
  wireInGas,
  type Nudges,
  type WireCorrection,
  type WireInGas,
} from './constants.ts';
export { pulseLineMm } from './line.ts';
export { transitionCurrentA } from './transition.ts';
export { arcElectrical, type ArcElectrical } from './voltage.ts';
