/** Windows: how far a welder may move a setting on one machine. */
import { z } from 'zod';
import { idOf, ranged } from './fields.ts';
import { reasonField } from './lead-pin.ts';

export const range = (low: number, high: number) =>
  z.tuple([z.number().min(low).max(high), z.number().min(low).max(high)]);

const from = (field: 'wireFeedMPerMin' | 'trimMm' | 'stiffness') => z.tuple([ranged(field), ranged(field)]);

/** Differences to a program that a welder keeps for himself. */
export const offsetField = z.strictObject({
  wireFeedMPerMin: z.number().min(-10).max(10).optional(),
  trimMm: ranged('trimMm').optional(),
  stiffness: z.number().min(-20).max(20).optional(),
});

export const windowField = z.strictObject({
  wireFeedMPerMin: from('wireFeedMPerMin').optional(),
  trimMm: from('trimMm').optional(),
  stiffness: from('stiffness').optional(),
});

/** Null takes the window away: nothing may be moved. */
export const seamWindow = z.strictObject({
  machineId: idOf('machine'),
  revision: z.int().min(1),
  window: windowField.nullable(),
  reason: reasonField,
});

export type SeamWindow = z.infer<typeof seamWindow>;
