/** What the computations are asked; the same shapes at the command line and at the API. Answers are the core's own types. */
import { z } from 'zod';
import {
  arcHabitField,
  fillerField,
  gasField,
  jointField,
  materialField,
  modeField,
  positionField,
  ranged,
} from './fields.ts';

export const meltInput = z.strictObject({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  extensionMm: ranged('extensionMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  currentA: ranged('currentA').optional(),
  rmsCurrentA: ranged('currentA').optional(),
});

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
});

export const seamInput = z.strictObject({
  materialGroup: materialField,
  thicknessesMm: z.tuple([ranged('thicknessMm'), ranged('thicknessMm')]),
  joint: jointField,
  position: positionField,
  gapMm: ranged('gapMm'),
  legMm: ranged('legMm').optional(),
  lengthMm: ranged('lengthMm'),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
  plateC: ranged('plateC').optional(),
});

export const planInput = z.strictObject({
  seam: seamInput,
  arcHabit: arcHabitField,
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  mode: modeField,
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  circuitMOhm: ranged('circuitMOhm').optional(),
});
