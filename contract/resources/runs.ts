/** A run record: one production weld, as it was; what does not agree holds the part until a lead hand decides. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { heldCodes } from '@fox-tempo/core/evidence/run';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, idOf, ranged, timestampField } from '../fields.ts';
import { dialReadings } from './observations.ts';
import { phraseField } from '../problem.ts';
import { drawn } from './orders.ts';
import { leadPin } from '../lead-pin.ts';
import { pageOf } from '../page.ts';

export const runBody = z.strictObject({
  /** Arc time, s; left out: as planned. */
  seconds: z.number().min(0.3).max(36_000).optional(),
  /** Dials as found, only those that were read. */
  dials: dialReadings.optional(),
  spoolId: idOf('spool').optional(),
  cylinderId: idOf('cylinder').optional(),
  /** Oxide taken off so long ago, min. */
  cleanedMinutesAgo: z.number().min(0).max(100_000).optional(),
  soot: z.int().min(0).max(3).optional(),
  plateC: ranged('partC').optional(),
  note: z.string().trim().max(300).optional(),
});

export const runCreate = z.strictObject({
  seamId: idOf('seam'),
  machineId: idOf('machine'),
  orderId: idOf('order').optional(),
  revision: z.int().min(1),
  weldedBy: idField.optional(),
  deviceAt: timestampField.optional(),
  body: runBody,
});

export const runStates = ['counts', 'held', 'released', 'scrapped', 'slip'] as const;
export const runDecisions = ['released', 'scrapped', 'slip'] as const;
export const runDecision = z
  .strictObject({
    /** `slip`: it was never welded; what it took goes back to stock. */
    decision: z.enum(runDecisions),
    /** Only a slip needs none. */
    reason: z.string().trim().max(300).default(''),
    by: leadPin.optional(),
    /** The state in which it was seen; left out: nothing was decided yet. */
    seen: z.enum(runStates).optional(),
  })
  .superRefine(({ decision, reason }, context) => {
    if (decision !== 'slip' && reason.length < 3)
      context.addIssue({
        code: 'too_small',
        origin: 'string',
        minimum: 3,
        inclusive: true,
        input: reason,
        path: ['reason'],
      });
  });

export const run = z.object({
  id: z.uuid(),
  row: z.int(),
  at: timestampField,
  seamId: idOf('seam'),
  seamName: z.string(),
  partName: z.string(),
  machineId: idOf('machine'),
  machineName: z.string(),
  orderId: idOf('order').nullable(),
  orderNumber: z.string().nullable(),
  revision: z.int(),
  recordedBy: z.string(),
  recordedById: idOf('person'),
  /** Under whose session it came, where that was somebody else's. */
  sentBy: z.string().nullable(),
  deviceAt: timestampField.nullable(),
  weldedBy: z.string(),
  body: runBody,
  /** Wire and gas as they were: of the spool and cylinder named, else as entered of the machine. */
  loaded: z.object({ filler: fillerField, diameterMm: ranged('diameterMm'), gas: gasField }).nullable(),
  held: z.array(z.object({ code: closed(heldCodes), words: phraseField })),
  state: z.enum(runStates),
  decision: z
    .object({ decision: z.enum(runDecisions), reason: z.string(), by: z.string(), at: timestampField })
    .nullable(),
  drawn: z.array(drawn),
});

export const runQuery = z.object({
  seam: idField.optional(),
  machine: idField.optional(),
  order: idField.optional(),
  state: z.enum(runStates).optional(),
});

export type Run = z.infer<typeof run>;
export type RunBody = z.infer<typeof runBody>;
export type RunCreate = z.infer<typeof runCreate>;
export type RunDecision = z.infer<typeof runDecision>;
export type RunQuery = z.infer<typeof runQuery>;

export const runEndpoints = {
  runs: {
    method: 'GET',
    path: '/runs',
    summary: message('contract.endpoint.runs'),
    act: 'runs',
    query: runQuery,
    answer: pageOf(run),
    paged: true,
  },
  runsCsv: {
    method: 'GET',
    path: '/runs.csv',
    summary: message('contract.endpoint.runs-csv'),
    act: 'runsCsv',
    query: runQuery,
    media: 'text/csv',
  },
  addRun: {
    method: 'POST',
    path: '/runs',
    summary: message('contract.endpoint.run-add'),
    act: 'addRun',
    body: runCreate,
    answer: run,
    status: 201,
    needs: 'key',
    late: true,
  },
  decideRun: {
    method: 'POST',
    path: '/runs/:id/decision', // Without a key: an endpoint with one is a transaction, and a wrong PIN must stay counted.
    summary: message('contract.endpoint.run-decide'),
    act: 'decideRun',
    body: runDecision,
    answer: run,
  },
} as const satisfies Endpoints;
