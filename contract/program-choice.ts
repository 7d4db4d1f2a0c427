/** What a person chooses; the rest of a program is computed from it. */
import { z } from 'zod';
import { arcHabitField, fillerField, gasField, modeField, ranged } from './fields.ts';
import { gunAngles, slowBeat, triggerSequence } from './files/program.ts';

/** What was moved away from the plan at the arc bench; null where the plan stands. */
export const tune = z.strictObject({
  trimMm: ranged('trimMm').nullable(),
  stiffness: ranged('stiffness').nullable(),
  ctwdMm: ranged('ctwdMm').nullable(),
  peakCurrentA: ranged('peakCurrentA').nullable(),
  peakTimeMs: ranged('peakTimeMs').nullable(),
  backgroundCurrentA: ranged('backgroundCurrentA').nullable(),
  /** Left out by those who wrote before it could be fixed: solved. */
  frequencyHz: ranged('frequencyHz').nullable().default(null),
  slowBeat: slowBeat.nullable(),
});

/** As it was learned from timed seams; its weight and how many stand with it, because a later seam moves them. */
export const paceField = z.strictObject({
  factor: z.number().min(0.3).max(3),
  weight: z.number().min(0).max(1),
  seams: z.int().min(0),
  welder: z.string().trim().max(120),
});

/** What a person chooses on the seam sheet and at the arc bench; the rest of a program is computed from it. */
export const programChoice = z.strictObject({
  mode: modeField.default('pulse'),
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  arcHabit: arcHabitField,
  /** null: as the plan proposes. */
  wireFeedMPerMin: ranged('wireFeedMPerMin').nullable(),
  tune: tune.nullable().default(null),
  /** null: the start and stop that this metal usually wants. */
  sequence: triggerSequence.nullable().default(null),
  /** Left out: as practice points it. */
  gun: gunAngles.optional(),
  /** Pace of the hand it is made for, against the plan's; left out: the plan's own. */
  pace: paceField.optional(),
});

export type ProgramChoice = z.infer<typeof programChoice>;
