export { asStands, type AsStands, type Observed, type PanelPoints } from './as-stands.ts';
export {
  measurable,
  unitFromTests,
  unitMeasures,
  type MeasuredQuantity,
  type UnitReading,
  type UnitScale,
} from './unit-test.ts';
export { directionTestFor, triggerTestFor, withDirection, type DirectionTest } from './direction.ts';
export { swingFromTests, type SwingReading, type SwingScale } from './swing-test.ts';
export { fitLine, modelAmps, type FittedPoint, type LineFit } from './line-fit.ts';
export { calibrate, type Calibration, type CalibrationInput, type ObservedPoint } from './calibrate.ts';
