/** `pulse`: one drop per pulse for a wire, gas and feed. */
import { solvePulse } from '@fox-tempo/core/setting/pulse';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, gasField, ranged } from '../fields.ts';
import { machineLimits } from '../machine-limits.ts';
import { verb } from './verb.ts';

export const pulseInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  extensionMm: ranged('extensionMm').optional(),
  ctwdMm: ranged('ctwdMm').optional(),
  slewAPerMs: ranged('slewAPerMs').optional(),
  peakCurrentA: ranged('peakCurrentA').optional(),
  peakTimeMs: ranged('peakTimeMs').optional(),
  backgroundCurrentA: ranged('backgroundCurrentA').optional(),
  frequencyHz: ranged('frequencyHz').optional(),
  machine: machineLimits.optional(),
});

export const pulseVerb = verb(message('contract.verb.pulse'), pulseInput, (input) => solvePulse(input));
