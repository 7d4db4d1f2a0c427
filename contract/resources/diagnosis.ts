/** The judgement of one trial, as it crosses the border: the core's own answer, its sentences in words. */
import type { Endpoints } from '../endpoint.ts';
import { message, type Said } from '@fox-tempo/core/base/messages';
import { causeCodes, type CauseCode } from '@fox-tempo/core/evidence/judge';
import { z } from 'zod';
import { closed } from '../fields.ts';
import { phraseField } from '../problem.ts';

/** As every sentence of an answer: its words go out. */
const said = phraseField as unknown as z.ZodType<Said>;
const causeField = closed<CauseCode>(causeCodes);

export const shownFigures = z.object({
  displayedCurrentA: z.number(),
  displayedVoltageV: z.number(),
  pulseHz: z.number(),
  shortsPerS: z.number(),
  arcMm: z.number(),
  legMm: z.number(),
  widthMm: z.number(),
  travelMmPerMin: z.number(),
  transferMode: z.string(),
});

export const move = z.object({
  code: z.string(),
  words: said,
  kind: z.enum(['set', 'hand', 'set-up']),
  dialId: z.string().optional(),
  steps: z.number().optional(),
  dialValue: z.number().optional(),
  change: z
    .object({
      quantity: z.enum(['trimMm', 'wireFeedMPerMin', 'travelMmPerMin', 'ctwdMm']),
      from: z.number(),
      to: z.number(),
    })
    .optional(),
  gain: z.number(),
  minutes: z.number(),
  mends: z.array(causeField),
  predicted: shownFigures,
  sideEffects: z.array(said),
});

export const diagnosis = z.object({
  predicted: shownFigures,
  causes: z.array(
    z.object({
      code: causeField,
      name: said,
      probability: z.number(),
      family: z.string().nullable(),
      because: z.array(said),
    }),
  ),
  none: z.number(),
  pairs: z.array(z.object({ codes: z.array(causeField), probability: z.number() })),
  nextLook: z
    .object({
      code: z.string(),
      words: said,
      minutes: z.number(),
      bits: z.number(),
      isolate: z.boolean(),
      shows: z.array(causeField),
    })
    .nullable(),
  moves: z.array(move),
  backCheck: z.object({ ratio: z.number(), agrees: z.boolean(), words: said.nullable() }).nullable(),
  warnings: z.array(said),
});

export type DiagnosisAnswer = z.infer<typeof diagnosis>;
export type MoveAnswer = z.infer<typeof move>;

export const diagnosisEndpoints = {
  diagnosis: {
    method: 'GET',
    path: '/trials/:id/diagnosis',
    summary: message('contract.verb.diagnose'),
    act: 'diagnosis',
    answer: diagnosis,
  },
} as const satisfies Endpoints;
