/** The start and stop a seam usually wants, by metal and thickness. Rules of practice, assumed; every figure is a start for trials. */
import { fillerOf, type FillerCode } from '../../metal/consumables/index.ts';
import { plainSequence, type TriggerSequence } from './trigger-sequence.ts';

/** Seams longer than this are latched so that the hand may rest, mm. */
const latchFromMm = 250;

/** Aluminium starts hot and ends in a filled crater, stainless fades out, steel starts and stops plainly. */
export function usualSequence(filler: FillerCode, thicknessMm: number, lengthMm: number): TriggerSequence {
  const { family } = fillerOf(filler);
  if (family === 'aluminium') {
    return {
      ...plainSequence,
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
    return { ...plainSequence, trigger: 'hold-timed', slopeOutS: 0.3, endPercent: 70, endS: 0.4, postGasS: 3 };
  }
  return { ...plainSequence, trigger };
}
