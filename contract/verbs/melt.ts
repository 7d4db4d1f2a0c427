/** `melt`: wire feed and current that belong together. */
import { melt } from '@fox-tempo/core/metal/melting';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, ranged } from '../fields.ts';
import { verb } from './verb.ts';

export const meltInput = z.strictObject({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  extensionMm: ranged('extensionMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  currentA: ranged('currentA').optional(),
  rmsCurrentA: ranged('currentA').optional(),
});

export const meltVerb = verb(message('contract.verb.melt'), meltInput, melt);
