/** `calibrate`: a wire's constants from points read off a panel. */
import { calibrate } from '@fox-tempo/core/machine/teaching';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, gasField, ranged } from '../fields.ts';
import { verb } from './verb.ts';

export const calibrateInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  points: z
    .array(
      z.strictObject({
        wireFeedMPerMin: ranged('wireFeedMPerMin'),
        meanCurrentA: ranged('currentA'),
        ctwdMm: ranged('ctwdMm'),
        rmsCurrentA: ranged('currentA').optional(),
        voltageV: z.number().min(8).max(50).optional(),
        arcLengthMm: ranged('arcLengthMm').optional(),
      }),
    )
    .min(2)
    .max(50),
});

export const calibrateVerb = verb(message('contract.verb.calibrate'), calibrateInput, calibrate);
