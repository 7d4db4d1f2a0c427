/** The simulated machine: what it is asked, and what somebody who stands before it could see. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idField, idOf, ranged } from '../fields.ts';
import { trialBody } from './trials.ts';

export const standInWeld = z.strictObject({
  seamId: idOf('seam'),
  revision: z.int().min(1).optional(),
  weldedBy: idField.optional(),
  /** Dials as they stand on it; what is left out stands as the card says. */
  dials: z.record(idField, z.number()).default({}),
  lengthMm: z.number().min(20).max(3000),
  /** What somebody put right since the last weld, as causes name it. */
  mended: z.array(z.string().max(40)).max(20).default([]),
  /** Travel against the card's, as the hand means it. */
  pace: z.number().min(0.5).max(2).default(1),
  plateC: ranged('partC').optional(),
});

export const standInBead = z.object({
  seconds: z.number(),
  /** What the panel showed, and a careful look and rule found; a record ready to be saved. */
  found: trialBody,
  /** Whether what was put right had been wrong. */
  mended: z.array(z.object({ cause: z.string(), wasWrong: z.boolean() })),
});

export type StandInAsk = z.infer<typeof standInWeld>;
export type StandInBead = z.infer<typeof standInBead>;

export const standInEndpoints = {
  standInWeld: {
    method: 'POST',
    path: '/stand-ins/:id/weld',
    summary: message('contract.a-simulated-weld'),
    act: 'standInWeld',
    body: standInWeld,
    answer: standInBead,
    needs: 'key',
  },
  standInTrace: {
    method: 'GET',
    path: '/stand-ins/:id/trace.csv',
    summary: message('contract.endpoint.simulated-trace'),
    act: 'standInTrace',
    media: 'text/csv',
  },
} as const satisfies Endpoints;
