/** What stands on the shop floor: memory slots with their history, lead resistance, step times, cylinders and spools. */
import { stepKinds } from '@fox-tempo/core';
import { z } from 'zod';
import { fillerField, gasField, idField, nameField, ranged, timestampField } from './fields.ts';
import { programFile } from './program.ts';

const dialReadings = z.record(idField, z.number());

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

export const slotFound = z.strictObject({ dials: dialReadings });

export const leadReading = z.object({
  id: z.int(),
  mOhm: ranged('circuitMOhm'),
  note: z.string(),
  at: timestampField,
  by: z.string(),
});
export const leadReadingCreate = z.strictObject({ mOhm: ranged('circuitMOhm'), note: z.string().trim().max(200) });

export const directionSave = z.strictObject({
  dialId: idField,
  result: z.enum(['as-described', 'reversed']),
  note: z.string().trim().max(300),
});

/** Minutes a changeover step took here. */
export const stepTimeCreate = z.strictObject({ kind: z.enum(stepKinds), minutes: z.number().min(0.1).max(240) });
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
export const cylinderSave = z.strictObject(cylinderContent);
export const cylinder = z.object({
  id: idField,
  version: z.int(),
  ...cylinderContent,
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
export const spoolSave = z.strictObject(spoolContent);
export const spool = z.object({
  id: idField,
  version: z.int(),
  ...spoolContent,
  changedAt: timestampField,
  changedBy: z.string(),
});

export const stock = z.object({ cylinders: z.array(cylinder), spools: z.array(spool) });

/** Parts welded (or taken back, when negative): counts the order up and the stock down. */
export const partsDone = z.strictObject({ count: z.int().min(-50).max(50) });

/** Which card to print, and on what. */
export const cardQuery = z.object({
  machine: z.string(),
  paper: z.enum(['A5', 'A4', 'LETTER']).default('A5'),
  units: z.enum(['metric', 'us']).default('metric'),
});

export type CardPaper = z.infer<typeof cardQuery>['paper'];
export type SlotEntry = z.infer<typeof slotEntry>;
export type SlotStore = z.infer<typeof slotStore>;
export type LeadReadingRow = z.infer<typeof leadReading>;
export type DirectionSave = z.infer<typeof directionSave>;
export type StepTimes = z.infer<typeof stepTimes>;
export type StepTimeCreate = z.infer<typeof stepTimeCreate>;
export type Cylinder = z.infer<typeof cylinder>;
export type CylinderSave = z.infer<typeof cylinderSave>;
export type Spool = z.infer<typeof spool>;
export type SpoolSave = z.infer<typeof spoolSave>;
export type Stock = z.infer<typeof stock>;
