export { calibrate, type Calibration, type CalibrationInput, type ObservedPoint } from './calibrate.ts';
