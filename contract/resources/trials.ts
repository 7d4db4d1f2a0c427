/** Trials: what was set, loaded, seen and measured at one weld, and what the server makes of it when it arrives. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { causeCodes } from '@fox-tempo/core/evidence/judge';
import { gunRanges } from '@fox-tempo/core/setting/plan';
import { stepKinds } from '@fox-tempo/core/machine/setup';
import {
  handPatterns,
  measuredFigure,
  measuredNames,
  places,
  sounds,
  symptomCodes,
  testKinds,
  timers,
  type MeasuredName,
} from '@fox-tempo/core/evidence/trial';
import { z } from 'zod';
import {
  closed,
  fillerField,
  gasField,
  idField,
  idOf,
  materialField,
  modeField,
  positionField,
  ranged,
  timestampField,
} from '../fields.ts';
import { acrossMm, limitsField } from '../limits.ts';
import { pageOf } from '../page.ts';

const text = (most: number) => z.string().trim().max(most);

export const symptomAnswer = z.strictObject({
  answer: z.enum(['yes', 'no']),
  severity: z.union([z.literal(1), z.literal(2), z.literal(3)]).optional(),
  place: closed(places).optional(),
});

/** A fillet's leg is between 1 and 40 mm; whether it fits the metal that was fed is asked back, not refused. */
export const trialMeasured = z.strictObject({
  legsMm: z.tuple([acrossMm, acrossMm]).optional(),
  gauge: z.enum(['fits', 'small', 'large']).optional(),
  ...(Object.fromEntries(measuredNames.map((name) => [name, measuredField(name).optional()])) as Record<
    MeasuredName,
    z.ZodOptional<z.ZodNumber>
  >),
});

function measuredField(name: MeasuredName): z.ZodNumber {
  const { range, whole = false } = measuredFigure(name);
  return (whole ? z.int() : z.number()).min(range[0]).max(range[1]);
}

export const trialTiming = z.strictObject({
  seconds: z.number().min(0.3).max(3600),
  lengthMm: z.number().min(5).max(10_000),
  by: closed(timers),
});

export const trialDisplayed = z.strictObject({
  currentA: ranged('displayedCurrentA').optional(),
  voltageV: ranged('displayedVoltageV').optional(),
  /** When the panel was read. */
  state: z.enum(['running', 'preset', 'held']).default('running'),
});

export const trialBody = z.strictObject({
  /** Every dial as set, not as wished. */
  dials: z.record(idField, z.number()).default({}),
  loaded: z.strictObject({ filler: fillerField, gas: gasField, diameterMm: ranged('diameterMm') }).optional(),
  circuitMOhm: ranged('circuitMOhm').optional(),
  ctwdMm: ranged('ctwdMm').optional(),
  gapMm: z.number().min(0).max(20).optional(),
  fit: text(120).optional(),
  cleanedMinutesAgo: z.number().min(0).max(100_000).optional(),
  wireBatch: text(60).optional(),
  gasBatch: text(60).optional(),
  /** Number stamped on the coupon. */
  stamp: text(40).optional(),
  plateC: ranged('partC').optional(),
  hand: closed(handPatterns).optional(),
  /** As the gun was held: from the lower plate, and along the seam, plus pushes. */
  gun: z
    .strictObject({
      workDeg: z.number().min(gunRanges.workDeg[0]).max(gunRanges.workDeg[1]),
      travelDeg: z.number().min(gunRanges.travelDeg[0]).max(gunRanges.travelDeg[1]),
    })
    .optional(),
  ticked: z.array(closed(stepKinds)).max(stepKinds.length).optional(),
  timing: trialTiming.optional(),
  measured: trialMeasured.default({}),
  symptoms: z.partialRecord(closed(symptomCodes), symptomAnswer).default({}),
  heard: z.array(closed(sounds)).max(sounds.length).default([]),
  displayed: trialDisplayed.optional(),
  pulseHz: ranged('heardHz').optional(),
  tests: z
    .array(z.strictObject({ kind: closed(testKinds), result: z.enum(['pass', 'fail']) }))
    .max(6)
    .default([]),
  note: text(1000).default(''),
  /** The move that was made after the trial before it, and what was expected of it. */
  after: z
    .strictObject({
      trial: z.uuid(),
      move: text(60),
      /** Causes it put right, or found in order. */
      mends: z.array(closed(causeCodes)).max(causeCodes.length),
      predicted: z.strictObject({
        displayedCurrentA: z.number(),
        displayedVoltageV: z.number(),
        legMm: z.number(),
        travelMmPerMin: z.number(),
      }),
    })
    .optional(),
  /** Step of a sweep or plan it belongs to. */
  plan: z.strictObject({ id: idField, step: z.int().min(0).max(500) }).optional(),
});

export const trialCreate = z.strictObject({
  seamId: idOf('seam'),
  machineId: idOf('machine'),
  /** Left out: the newest. */
  revision: z.int().min(1).optional(),
  weldedBy: idField.optional(),
  deviceAt: timestampField.optional(),
  /** Trial that this one corrects, and why: needed where somebody else welded and recorded it. */
  corrects: z.uuid().optional(),
  why: z.string().trim().max(300).optional(),
  attachments: z
    .array(z.strictObject({ sha256: z.string().regex(/^[0-9a-f]{64}$/), name: z.string().trim().min(1).max(120) }))
    .max(12)
    .optional(),
  body: trialBody,
});

const verdict = z.enum(['pass', 'fail', 'open']);

/** A line of the list. */
export const trialRow = z.object({
  id: z.uuid(),
  row: z.int(),
  at: timestampField,
  seamId: idOf('seam'),
  seamName: z.string(),
  partName: z.string(),
  machineId: idOf('machine'),
  machineName: z.string(),
  revision: z.int(),
  recordedBy: z.string(),
  weldedBy: z.string(),
  weldedById: idOf('person'),
  verdict,
  byEyeOnly: z.boolean(),
  materialGroup: materialField,
  thicknessMm: z.number(),
  position: positionField,
  mode: modeField,
  filler: fillerField,
  gas: z.string(),
  diameterMm: z.number(),
  wireFeedMPerMin: z.number(),
  trimMm: z.number(),
  /** Travel that the rule asked for without any learning, and the one that was timed; mm/min. */
  plannedTravelMmPerMin: z.number(),
  foundTravelMmPerMin: z.number().nullable(),
  arcSeconds: z.number().nullable(),
  legsMm: z.tuple([z.number(), z.number()]).nullable(),
  symptoms: z.array(closed(symptomCodes)),
  photos: z.int(),
});

/** One trial whole, with what the server found when it arrived. */
export const trial = trialRow.extend({
  body: trialBody,
  deviceAt: timestampField.nullable(),
  limits: limitsField,
  /** Leg that the plan expected, mm; null in a butt. */
  plannedLegMm: z.number().nullable(),
  contentHash: z.string().nullable(),
  attachments: z.array(z.object({ sha256: z.string(), name: z.string(), mediaType: z.string(), size: z.int() })),
  /** Earlier forms of it, the oldest first. */
  corrected: z.array(z.object({ id: z.uuid(), at: timestampField, recordedBy: z.string() })),
  /** Who corrected it to what it is now, when and why; null: as it was first recorded. */
  correction: z.object({ by: z.string(), at: timestampField, why: z.string() }).nullable(),
});

export const trialQuery = z.object({
  seam: idField.optional(),
  machine: idField.optional(),
  welder: idField.optional(),
  verdict: verdict.optional(),
  metal: materialField.optional(),
  filler: fillerField.optional(),
  mode: modeField.optional(),
  symptom: closed(symptomCodes).optional(),
  since: z.iso.date().optional(),
  until: z.iso.date().optional(),
  text: z.string().max(60).optional(),
});

export type Trial = z.infer<typeof trial>;

export type TrialRow = z.infer<typeof trialRow>;

export type TrialBody = z.infer<typeof trialBody>;

export type TrialCreate = z.infer<typeof trialCreate>;

export type TrialQuery = z.infer<typeof trialQuery>;

export const trialEndpoints = {
  trials: {
    method: 'GET',
    path: '/trials',
    summary: message('contract.endpoint.trials'),
    act: 'trials',
    query: trialQuery,
    answer: pageOf(trialRow),
    paged: true,
  },
  trialsCsv: {
    method: 'GET',
    path: '/trials.csv',
    summary: message('contract.endpoint.trials-csv'),
    act: 'trialsCsv',
    query: trialQuery,
    media: 'text/csv',
  },
  addTrial: {
    method: 'POST',
    path: '/trials',
    summary: message('contract.endpoint.trial-add'),
    act: 'addTrial',
    body: trialCreate,
    answer: trial,
    status: 201,
    needs: 'key',
    late: true,
  },
  trial: {
    method: 'GET',
    path: '/trials/:id',
    summary: message('contract.one-trial-whole'),
    act: 'trial',
    answer: trial,
  },
} as const satisfies Endpoints;
