/** The machine file, version 1: a described power source, and how it stands right now. */
import { z } from 'zod';
import { fillerField, gasField, idField, modeField, nameField, ranged, timestampField } from './fields.ts';

const linearScale = z
  .object({
    kind: z.literal('linear'),
    quantity: z.enum(['wireFeedMPerMin', 'trimMm', 'stiffness', 'peakCurrentA', 'gasFlowLPerMin']),
    neutral: z.number(),
    quantityAtNeutral: z.number(),
    quantityPerUnit: z
      .number()
      .refine((value) => value !== 0, 'must not be 0: a dial that moves nothing cannot be read back'),
    min: z.number(),
    max: z.number(),
    step: z.number().positive(),
  })
  .refine((scale) => scale.min < scale.max, { message: 'must lie above min', path: ['max'] });

const dial = z.object({
  id: idField,
  label: nameField,
  where: z.string().max(80),
  unit: z.string().max(12),
  sense: z.string().max(60).optional(),
  scale: z.union([linearScale, z.object({ kind: z.literal('chart-line') })]),
});

const chartLine = z.object({
  number: z.int().min(0).max(9999),
  words: z.string().max(120),
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  gas: gasField,
  mode: modeField,
});

/** Unknown keys are kept, so that a newer file survives a round trip through this version. */
export const machineFile = z.looseObject({
  format: z.literal('fox-tempo/machine'),
  version: z.literal(1),
  name: nameField,
  place: z.string().max(80),
  about: z.string().max(300),
  circuitMOhm: ranged('circuitMOhm'),
  limits: z.object({
    peakCurrentA: ranged('peakCurrentA'),
    wireFeedMPerMin: z.tuple([z.number().positive(), z.number().positive()]),
  }),
  dials: z.array(dial).max(40),
  chartLines: z.array(chartLine).max(400),
});

/** What is on the machine now, as last entered. */
export const machineStanding = z.object({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  gas: gasField,
  /** Dial readings by dial id. */
  dials: z.record(z.string(), z.number()),
  since: timestampField,
});

export const machineResource = z.object({
  id: idField,
  version: z.int(),
  file: machineFile,
  standing: machineStanding.nullable(),
  changedAt: timestampField,
  changedBy: z.string(),
});

export type MachineFile = z.infer<typeof machineFile>;
export type MachineResource = z.infer<typeof machineResource>;
