/** What a program says of starting and stopping: levels, times and slopes around the main level. */
import { message } from '../../base/messages/index.ts';
import type { TriggerSchool } from './schools.ts';

/** Levels are percent of the main feed; trims are mm of arc beside the program's own. */
export interface TriggerSequence {
  readonly trigger: TriggerSchool;
  readonly preGasS: number;
  /** Feed until the arc lights and for `runInAfterS` after it. */
  readonly runInPercent: number;
  readonly runInAfterS: number;
  readonly startPercent: number;
  readonly startTrimMm: number;
  /** In a held start: how long the hand is to hold it. */
  readonly startS: number;
  readonly slopeInS: number;
  readonly secondPercent: number;
  readonly secondTrimMm: number;
  /** Where along the seam a tap is due, mm; odd ones go to the second level, even ones back. */
  readonly tapsAtMm: readonly number[];
  readonly slopeOutS: number;
  readonly endPercent: number;
  readonly endTrimMm: number;
  readonly endS: number;
  readonly burnBackMs: number;
  /** A last pulse that clears the ball off the wire; pulse only. */
  readonly endPulse: boolean;
  readonly postGasS: number;
  /** Timed spot, from the moment the arc lights. */
  readonly spotS: number;
  /** Distance of tacks along a seam, mm; 0: by rule. */
  readonly tackSpacingMm: number;
  readonly stitchOnS: number;
  readonly stitchOffS: number;
}

/** Steel's plain start and stop; what other sequences are told as differences from. */
export const plainSequence: TriggerSequence = {
  trigger: 'hold',
  preGasS: 0.2,
  runInPercent: 50,
  runInAfterS: 0.1,
  startPercent: 100,
  startTrimMm: 0,
  startS: 0,
  slopeInS: 0,
  secondPercent: 80,
  secondTrimMm: 0,
  tapsAtMm: [],
  slopeOutS: 0,
  endPercent: 100,
  endTrimMm: 0,
  endS: 0,
  burnBackMs: 60,
  endPulse: false,
  postGasS: 1.5,
  spotS: 0.8,
  tackSpacingMm: 0,
  stitchOnS: 0.6,
  stitchOffS: 0.5,
};

/** Limits of each number, as data for forms, shapes and messages. */
export const sequenceRanges = {
  preGasS: { min: 0, max: 10, kind: 'phaseTime', name: message('sequence.field.gas-before') },
  runInPercent: { min: 10, max: 150, kind: 'percent', name: message('sequence.run-in-level') },
  runInAfterS: { min: 0, max: 2, kind: 'phaseTime', name: message('sequence.field.run-in') },
  startPercent: { min: 20, max: 200, kind: 'percent', name: message('sequence.start-level') },
  startTrimMm: { min: -4, max: 4, kind: 'shortLength', name: message('sequence.start-trim') },
  startS: { min: 0, max: 20, kind: 'phaseTime', name: message('sequence.start-time') },
  slopeInS: { min: 0, max: 20, kind: 'phaseTime', name: message('sequence.slope-to-main') },
  secondPercent: { min: 20, max: 200, kind: 'percent', name: message('sequence.second-level') },
  secondTrimMm: { min: -4, max: 4, kind: 'shortLength', name: message('sequence.second-trim') },
  slopeOutS: { min: 0, max: 20, kind: 'phaseTime', name: message('sequence.slope-to-end') },
  endPercent: { min: 20, max: 200, kind: 'percent', name: message('sequence.end-level') },
  endTrimMm: { min: -4, max: 4, kind: 'shortLength', name: message('sequence.end-trim') },
  endS: { min: 0, max: 20, kind: 'phaseTime', name: message('sequence.end-time') },
  burnBackMs: { min: 0, max: 500, kind: 'pulseTime', name: message('sequence.burn-back') },
  postGasS: { min: 0, max: 60, kind: 'phaseTime', name: message('sequence.field.gas-after') },
  spotS: { min: 0.1, max: 10, kind: 'phaseTime', name: message('sequence.spot-time') },
  tackSpacingMm: { min: 0, max: 1000, kind: 'shortLength', name: message('sequence.tack-spacing') },
  stitchOnS: { min: 0.1, max: 10, kind: 'phaseTime', name: message('sequence.stitch-time') },
  stitchOffS: { min: 0.1, max: 10, kind: 'phaseTime', name: message('sequence.pause-between-stitches') },
} as const;

export type SequenceNumber = keyof typeof sequenceRanges;
export const sequenceNumbers = Object.keys(sequenceRanges) as SequenceNumber[];
/** More taps than a hand can place on one seam. */
export const mostTaps = 12;
