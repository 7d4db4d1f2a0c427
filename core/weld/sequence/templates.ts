/** Ready starts and stops under our own names: what each is for, and what it changes. Figures are assumed starts for trials. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { TriggerSequence } from './trigger-sequence.ts';

export interface SequenceTemplate {
  readonly id: string;
  readonly name: Phrase;
  readonly use: Phrase;
  readonly change: Partial<TriggerSequence>;
}

export const sequenceTemplates: readonly SequenceTemplate[] = [
  {
    id: 'cold-plate-warm-hand',
    name: message('sequence.template.aluminium'),
    use: message('sequence.template.aluminium-why'),
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
    name: message('sequence.thin-and-gentle'),
    use: message('sequence.template.thin-steel-why'),
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
    name: message('sequence.stays-bright'),
    use: message('sequence.template.stainless-why'),
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
    name: message('sequence.row-of-tacks'),
    use: message('sequence.template.spot-why'),
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
    name: message('sequence.stitch-by-stitch'),
    use: message('sequence.template.stitch-why'),
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
