/** What the shop's own welds say, for a hand and a seam. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idField } from '../fields.ts';
import { trialRow } from './trials.ts';

const shrunk = { mean: z.number(), sd: z.number(), weight: z.number() };

export const learned = z.object({
  /** Travel of this hand over the plan's, in this position and mode, with the seams it stands on. */
  pace: z.object({ ...shrunk, factor: z.number(), seams: z.int(), elsewhere: z.int() }).nullable(),
  /** Where trim passed on this machine with this wire and gas. */
  trim: z
    .object({
      a: z.number(),
      b: z.number(),
      sdA: z.number(),
      sdB: z.number(),
      weight: z.number(),
      points: z.int(),
      atFeed: z.number(),
    })
    .nullable(),
  /** Wire that passed on this joint in this position against the rule's; the rule's for this very seam, and the feed to start from. */
  feed: z
    .object({
      ...shrunk,
      factor: z.number(),
      settings: z.int(),
      elsewhere: z.int(),
      ruleMPerMin: z.number(),
      startMPerMin: z.number(),
    })
    .nullable(),
  /** Passed trials of seams like this one, the nearest first; what differs is said in codes. */
  nearest: z.array(
    z.object({
      trial: trialRow,
      distance: z.number(),
      differs: z.array(z.enum(['metal', 'thickness', 'joint', 'position', 'gas', 'wire', 'size', 'mode'])),
    }),
  ),
});

export const learnedQuery = z.object({ welder: idField.optional(), machine: idField.optional() });
export type Learned = z.infer<typeof learned>;

export const learnedEndpoints = {
  learned: {
    method: 'GET',
    path: '/seams/:id/learned',
    summary: message('contract.verb.learn'),
    act: 'learned',
    query: learnedQuery,
    answer: learned,
  },
} as const satisfies Endpoints;
