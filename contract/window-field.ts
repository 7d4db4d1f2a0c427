/** Shape of a window: what may be moved, from where to where, absolute. */
import { z } from 'zod';

export const range = (low: number, high: number) =>
  z.tuple([z.number().min(low).max(high), z.number().min(low).max(high)]);

/** Differences to a program that a welder keeps for himself. */
export const offsetField = z.strictObject({
  wireFeedMPerMin: z.number().min(-10).max(10).optional(),
  trimMm: z.number().min(-8).max(8).optional(),
  stiffness: z.number().min(-20).max(20).optional(),
});

export const windowField = z.strictObject({
  wireFeedMPerMin: range(0.5, 30).optional(),
  trimMm: range(-8, 8).optional(),
  stiffness: range(-10, 10).optional(),
});
