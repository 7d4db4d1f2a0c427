/** The program file, version 1: the physical setting a revision keeps. */
import { z } from 'zod';
import { arcHabitField, fillerField, gasField, ranged } from './fields.ts';

export const programFile = z.looseObject({
  format: z.literal('fox-tempo/program'),
  version: z.literal(1),
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  mode: z.literal('pulse'),
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  trimMm: z.number().min(-8).max(8),
  stiffness: z.number().min(-10).max(10),
  pulse: z.object({
    peakCurrentA: ranged('peakCurrentA'),
    peakTimeMs: ranged('peakTimeMs'),
    backgroundCurrentA: ranged('backgroundCurrentA'),
    frequencyHz: ranged('frequencyHz'),
    slewAPerMs: ranged('slewAPerMs'),
  }),
  ctwdMm: ranged('ctwdMm'),
  travelMmPerMin: z.number().positive(),
  gasFlowLPerMin: z.number().min(1).max(60),
  origin: z.enum(['rule', 'rule, feed chosen']),
});

/** What a person chooses on the seam sheet; the rest of a program is computed from it. */
export const programChoice = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  arcHabit: arcHabitField,
  /** null: as the plan proposes. */
  wireFeedMPerMin: ranged('wireFeedMPerMin').nullable(),
});

export type ProgramFile = z.infer<typeof programFile>;
export type ProgramChoice = z.infer<typeof programChoice>;
