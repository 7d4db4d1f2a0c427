/** What a machine gives, as a plan or a pulse is told it. */
import { z } from 'zod';
import { ranged } from './fields.ts';

export const machineLimits = z.strictObject({
  maxCurrentA: ranged('peakCurrentA').optional(),
  wireFeedMPerMin: z.tuple([z.number().positive(), z.number().positive()]).readonly().optional(),
});
