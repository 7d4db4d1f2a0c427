/** What stands on the shop floor: memory slots with their history, lead resistance, step times, cylinders and spools. */
import { stepKinds } from '@fox-tempo/core/setup';
import { languages } from '@fox-tempo/core/said';
import { z } from 'zod';
import { fillerField, gasField, idField, nameField, ranged, timestampField } from './fields.ts';
import { dialReadings, recordedKinds } from './observations.ts';
import { programFile } from './program.ts';

/** One storing into a slot; never changed, never removed. */
export const slotEntry = z.object({
  id: z.int(),
  slot: z.int(),
  seamId: idField,
  seamName: z.string(),
  partName: z.string(),
  /** Revision of the seam's program. */
  revision: z.int(),
  program: programFile,
  /** Dials as they are meant to stand. */
  dials: dialReadings,
  note: z.string(),
  storedAt: timestampField,
  storedBy: z.string(),
  /** Dials as somebody last found them, apart from what is meant. */
  found: z.object({ dials: dialReadings, foundAt: timestampField, foundBy: z.string() }).nullable(),
});

export const slotStore = z.strictObject({
  seamId: idField,
  note: z.string().trim().max(300),
  /** The entry seen in the slot, which this one replaces; null when it was seen empty. */
  replaces: z.int().nullable(),
});

/** `entryId` is the entry that was seen in the slot: what was found is noted beside that one, or refused. */
export const slotFound = z.strictObject({
  entryId: z.int(),
  dials: dialReadings,
  /** They were turned back to what was stored, not found so. */
  putBack: z.boolean().optional(),
});

export const leadReading = z.object({
  id: z.string(),
  mOhm: ranged('circuitMOhm'),
  note: z.string(),
  at: timestampField,
  by: z.string(),
});
export const leadReadingCreate = recordedKinds['lead-reading'];

export const directionSave = z.strictObject({
  dialId: idField,
  result: z.enum(['as-described', 'reversed']),
  note: z.string().trim().max(300),
});

/** Minutes a changeover step took here. */
export const stepTimeCreate = recordedKinds['step-time'];
export const stepTimes = z.object({
  /** Median of the last five by kind; kinds never timed are absent. */
  minutes: z.partialRecord(z.enum(stepKinds), z.number()),
});

/** How a flow or pressure was read: where, and by what. */
export const readingConvention = z.enum([
  'gauge at the regulator',
  'scale',
  'tube at the nozzle, middle of the ball',
  'estimated',
]);

const cylinderContent = {
  name: nameField,
  gas: gasField,
  volumeL: z.number().min(1).max(1000).describe('Water volume, L'),
  pressureBar: z.number().min(0).max(350).nullable(),
  massKg: z.number().min(0).max(500).nullable(),
  convention: readingConvention,
  machineId: idField.nullable(),
};
export const cylinderSave = z.strictObject({ ...cylinderContent, retired: z.boolean().default(false) });
/** Levels are sums of movements: below nought means that more was taken than was ever read. */
export const cylinder = z.object({
  id: idField,
  version: z.int(),
  ...cylinderContent,
  pressureBar: z.number().nullable(),
  massKg: z.number().nullable(),
  retired: z.boolean(),
  changedAt: timestampField,
  changedBy: z.string(),
});

const spoolContent = {
  name: nameField,
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  massKg: z.number().min(0).max(500),
  machineId: idField.nullable(),
};
export const spoolSave = z.strictObject({ ...spoolContent, retired: z.boolean().default(false) });
export const spool = z.object({
  id: idField,
  version: z.int(),
  ...spoolContent,
  massKg: z.number(),
  retired: z.boolean(),
  changedAt: timestampField,
  changedBy: z.string(),
});

export const stock = z.object({ cylinders: z.array(cylinder), spools: z.array(spool) });

/** Parts welded (or taken back, when negative): counts the order up and the stock down. */
export const countQuestions = ['order-closed', 'beyond-ordered', 'unlogged'] as const;
export type CountQuestion = (typeof countQuestions)[number];
export const partsDone = z.strictObject({
  count: z.int().min(-50).max(50),
  /** What was asked and answered with yes before. */
  confirmed: z.array(z.enum(countQuestions)).max(3).optional(),
});

/** Which card to print, and on what. */
export const cardQuery = z.object({
  machine: z.string(),
  paper: z.enum(['A5', 'A4', 'LETTER']).default('A5'),
  units: z.enum(['metric', 'us']).default('metric'),
  /** Language of whoever reads it; left out, of whoever asks. */
  lang: z.enum(languages).optional(),
});

/** A page of record. */
export const paperQuery = z.object({
  paper: z.enum(['A4', 'LETTER']).default('A4'),
  units: z.enum(['metric', 'us']).default('metric'),
  /** Language of whoever reads it; left out, of whoever asks. */
  lang: z.enum(languages).optional(),
});
export const procedureQuery = paperQuery.extend({
  machine: z.string(),
  /** Left out: the one in force there, else the newest. */
  revision: z.coerce.number().int().min(1).optional(),
});

const someIds = z.string().max(200);
/** What was moved by hand: "rowan:job one,job two;alder:job three", and machines that are down by comma. */
export const runPlanQuery = paperQuery.extend({
  fixed: z
    .string()
    .max(12_000)
    .default('')
    .transform((text) =>
      Object.fromEntries(
        text
          .split(';')
          .map((one) => one.split(':'))
          .flatMap(([machine, ids]) => (machine && ids ? [[machine, ids.split(',')] as const] : [])),
      ),
    )
    .pipe(z.record(someIds, z.array(someIds))),
  away: z
    .string()
    .max(2000)
    .default('')
    .transform((text) => text.split(',').filter((one) => one !== '')),
});

export type PartsDone = z.infer<typeof partsDone>;
export type CardPaper = z.infer<typeof cardQuery>['paper'];
export type SlotEntry = z.infer<typeof slotEntry>;
export type SlotFound = z.infer<typeof slotFound>;
export type SlotStore = z.infer<typeof slotStore>;
export type LeadReadingRow = z.infer<typeof leadReading>;
export type DirectionSave = z.infer<typeof directionSave>;
export type StepTimes = z.infer<typeof stepTimes>;
export type StepTimeCreate = z.infer<typeof stepTimeCreate>;
export type Cylinder = z.infer<typeof cylinder>;
export type CylinderSave = z.input<typeof cylinderSave>;
export type Spool = z.infer<typeof spool>;
export type SpoolSave = z.input<typeof spoolSave>;
export type Stock = z.infer<typeof stock>;
