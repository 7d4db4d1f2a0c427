/** `double-pulse`: one slow beat as another kind of machine asks for it. */
import { doublePulse } from '@fox-tempo/core/setting/double-pulse';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, gasField, ranged } from '../fields.ts';
import { verb } from './verb.ts';

export const beatFrequency = z.number().min(0.2).max(10).describe('Slow beat, Hz');

const sharePercent = z.number().min(10).max(90).describe('Share of time at high, %');

const beatInput = z.discriminatedUnion('school', [
  z.strictObject({
    school: z.literal('top'),
    setFeedMPerMin: ranged('wireFeedMPerMin'),
    lowPercent: z.number().min(10).max(100),
    highSharePercent: sharePercent,
    frequencyHz: beatFrequency,
  }),
  z.strictObject({
    school: z.literal('two-level'),
    highFeedMPerMin: ranged('wireFeedMPerMin').optional(),
    lowFeedMPerMin: ranged('wireFeedMPerMin').optional(),
    highCurrentA: ranged('currentA').optional(),
    lowCurrentA: ranged('currentA').optional(),
    filler: fillerField.optional(),
    gas: gasField.optional(),
    diameterMm: ranged('diameterMm').optional(),
    extensionMm: ranged('extensionMm').optional(),
    highSharePercent: sharePercent,
    frequencyHz: beatFrequency,
  }),
  z.strictObject({
    school: z.literal('swing'),
    meanFeedMPerMin: ranged('wireFeedMPerMin'),
    swingPercent: z.number().min(0).max(80),
    frequencyHz: beatFrequency,
  }),
]);

export const doublePulseInput = z.strictObject({
  from: beatInput,
  to: z.enum(['top', 'two-level', 'swing']),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  wire: z
    .strictObject({
      filler: fillerField,
      gas: gasField,
      diameterMm: ranged('diameterMm'),
      extensionMm: ranged('extensionMm'),
    })
    .optional(),
  feedLimitsMPerMin: z.tuple([z.number().positive(), z.number().positive()]).optional(),
});

export const doublePulseVerb = verb(message('contract.verb.double-pulse'), doublePulseInput, doublePulse);
