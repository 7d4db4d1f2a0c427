/** Ready starts and stops under our own names: what each is for, and what it changes. Figures are assumed starts for trials. */
import type { TriggerSequence } from './trigger-sequence.ts';

export interface SequenceTemplate {
  readonly id: string;
  readonly name: string;
  readonly use: string;
  readonly change: Partial<TriggerSequence>;
}

export const sequenceTemplates: readonly SequenceTemplate[] = [
  {
    id: 'cold-plate-warm-hand',
    name: 'Cold plate, warm hand',
    use: 'Aluminium seams: a held hot start against the cold plate, a tap down when the part is warm, a filled crater.',
    change: {
      trigger: 'latch-second',
      preGasS: 0.5,
      runInPercent: 50,
      runInAfterS: 0.1,
      startPercent: 130,
      startS: 1,
      slopeInS: 0.5,
      secondPercent: 85,
      slopeOutS: 0.6,
      endPercent: 50,
      endS: 1.2,
      burnBackMs: 80,
      postGasS: 3,
    },
  },
  {
    id: 'thin-and-gentle',
    name: 'Thin and gentle',
    use: 'Thin steel: no hot start, a short soft end, so that neither end burns through.',
    change: {
      trigger: 'hold-timed',
      preGasS: 0.2,
      runInPercent: 60,
      runInAfterS: 0.05,
      startPercent: 90,
      startS: 0.2,
      slopeInS: 0.1,
      slopeOutS: 0.2,
      endPercent: 70,
      endS: 0.2,
      burnBackMs: 50,
      postGasS: 1,
    },
  },
  {
    id: 'stays-bright',
    name: 'Stays bright',
    use: 'Stainless: fades out and keeps the gas on until the end has cooled below tinting.',
    change: {
      trigger: 'hold-timed',
      preGasS: 0.4,
      runInPercent: 50,
      startPercent: 100,
      startS: 0,
      slopeInS: 0,
      slopeOutS: 0.4,
      endPercent: 60,
      endS: 0.5,
      burnBackMs: 60,
      postGasS: 5,
    },
  },
  {
    id: 'row-of-tacks',
    name: 'Row of tacks',
    use: 'Tacks of one size, whatever the finger does; short gas times, because they are paid at every tack.',
    change: {
      trigger: 'spot',
      preGasS: 0.1,
      runInPercent: 70,
      runInAfterS: 0,
      spotS: 0.8,
      burnBackMs: 60,
      postGasS: 0.6,
    },
  },
  {
    id: 'stitch-by-stitch',
    name: 'Stitch by stitch',
    use: 'Sheet that warps or burns through under a closed seam: short stitches with a pause to freeze.',
    change: {
      trigger: 'stitch',
      preGasS: 0.2,
      runInPercent: 70,
      runInAfterS: 0,
      stitchOnS: 0.6,
      stitchOffS: 0.4,
      burnBackMs: 50,
      postGasS: 1.5,
    },
  },
];
