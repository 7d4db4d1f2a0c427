/** `bead`: wire feed, travel speed and leg that belong together. */
import { bead } from '@fox-tempo/core/setting/bead';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, ranged } from '../fields.ts';
import { verb } from './verb.ts';

export const beadInput = z.strictObject({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  legMm: ranged('legMm').optional(),
});

export const beadVerb = verb(message('contract.verb.bead'), beadInput, bead);
