/** Shape of a window: what may be moved, from where to where, absolute. */
import { z } from 'zod';

export const range = (low: number, high: number) =>
  z.tuple([z.number().min(low).max(high), z.number().min(low).max(high)]);

export const windowField = z.strictObject({
  wireFeedMPerMin: range(0.5, 30).optional(),
  trimMm: range(-8, 8).optional(),
  stiffness: range(-10, 10).optional(),
});
