/** Cards and pages for print: which, on what paper, in whose language and units. */
import type { Endpoints } from '../endpoint.ts';
import { message, languages } from '@fox-tempo/core/base/messages';
import { z } from 'zod';

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

export type CardPaper = z.infer<typeof cardQuery>['paper'];

export const paperEndpoints = {
  card: {
    method: 'GET',
    path: '/seams/:id/card.pdf',
    summary: message('contract.endpoint.seam-card'),
    act: 'card',
    query: cardQuery,
    media: 'application/pdf',
  },
  procedure: {
    method: 'GET',
    path: '/seams/:id/procedure.pdf',
    summary: message('contract.endpoint.procedure-pdf'),
    act: 'procedure',
    query: procedureQuery,
    media: 'application/pdf',
  },
  trialRecord: {
    method: 'GET',
    path: '/trials/:id/record.pdf',
    summary: message('contract.endpoint.trial-pdf'),
    act: 'trialRecord',
    query: paperQuery,
    media: 'application/pdf',
  },
  runPlan: {
    method: 'GET',
    path: '/run-plan.pdf',
    summary: message('contract.endpoint.run-plan-pdf'),
    act: 'runPlan',
    query: runPlanQuery,
    media: 'application/pdf',
  },
} as const satisfies Endpoints;
