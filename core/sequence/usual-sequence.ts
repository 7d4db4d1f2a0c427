/** The start and stop a seam usually wants, by metal and thickness. Rules of practice, assumed; every figure is a start for trials. */
import { fillerOf, type FillerCode } from '../consumables/index.ts';

/** hold: arc while pressed. latch: press and release, press and release. latch-levels: as latch, with start level while first held and end level while held at the end. hold-timed: hold with timed start and end. */
export const triggerSchools = ['hold', 'hold-timed', 'latch', 'latch-levels'] as const;
export type TriggerSchool = (typeof triggerSchools)[number];

/** Levels are percent of the main feed. */
export interface TriggerSequence {
  readonly trigger: TriggerSchool;
  readonly preGasS: number;
  /** Feed until the arc lights. */
  readonly runInPercent: number;
  readonly startPercent: number;
  readonly startS: number;
  readonly slopeInS: number;
  readonly slopeOutS: number;
  readonly endPercent: number;
  readonly endS: number;
  readonly burnBackMs: number;
  readonly postGasS: number;
}

const plain: TriggerSequence = {
  trigger: 'hold',
  preGasS: 0.2,
  runInPercent: 50,
  startPercent: 100,
  startS: 0,
  slopeInS: 0,
  slopeOutS: 0,
  endPercent: 100,
  endS: 0,
  burnBackMs: 60,
  postGasS: 1.5,
};

/** Seams longer than this are latched so that the hand may rest, mm. */
const latchFromMm = 250;

/** Aluminium starts hot and ends in a filled crater, stainless fades out, steel starts and stops plainly. */
export function usualSequence(filler: FillerCode, thicknessMm: number, lengthMm: number): TriggerSequence {
  const { family } = fillerOf(filler);
  if (family === 'aluminium') {
    return {
      ...plain,
      trigger: 'latch-levels',
      preGasS: 0.5,
      startPercent: thicknessMm >= 3 ? 135 : 120,
      startS: 0.8,
      slopeInS: 0.4,
      slopeOutS: 0.5,
      endPercent: 60,
      endS: 1,
      burnBackMs: 80,
      postGasS: 3,
    };
  }
  const trigger = lengthMm > latchFromMm ? 'latch' : 'hold';
  if (family === 'stainless') {
    return { ...plain, trigger: 'hold-timed', slopeOutS: 0.3, endPercent: 70, endS: 0.4, postGasS: 3 };
  }
  return { ...plain, trigger };
}
