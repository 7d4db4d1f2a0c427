/** Ripples of the slow beat on the bead: their pitch, and the frequency for a wished one. */
import { travelMmPerS } from '../../base/units/convert.ts';

/** Usual pitch that the eye takes for even ripples, mm. Rule of practice. */
export const usualPitchMm = [1.5, 4] as const;

/** Pitch in mm of ripples at a travel in mm/min and a beat in Hz. */
export function ripplePitchMm(travelMmPerMin: number, frequencyHz: number): number {
  return travelMmPerS(travelMmPerMin) / frequencyHz;
}

/** Beat in Hz for a wished pitch in mm at a travel in mm/min. */
export function beatForPitchHz(travelMmPerMin: number, pitchMm: number): number {
  return travelMmPerS(travelMmPerMin) / pitchMm;
}
