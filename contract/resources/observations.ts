/** What was observed, by kind. A row is never changed; a correction is a further row that names the one it corrects. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { wearParts } from '@fox-tempo/core/machine/wear';
import { wireLefts, wireShapes } from '@fox-tempo/core/weld/score';
import { stepKinds } from '@fox-tempo/core/machine/setup';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, idOf, materialField, ranged, timestampField } from '../fields.ts';
import { pageOf } from '../page.ts';

const note = z.string().trim().max(300);

export const dialReadings = z.record(idField, z.number());

/** Kinds that a person records directly; the others are written by the act they belong to. */
export const recordedKinds = {
  'lead-reading': z.strictObject({ mOhm: ranged('circuitMOhm'), note }),
  'step-time': z.strictObject({ kind: z.enum(stepKinds), minutes: z.number().min(0.1).max(240) }),
  'burn-back-stop': z.strictObject({
    left: z.enum(wireLefts),
    shape: z.enum(wireShapes),
    burnBackMs: z.number().min(0).max(2000),
  }),
  'calibration-points': z.strictObject({
    filler: fillerField,
    gas: gasField,
    diameterMm: ranged('diameterMm'),
    ctwdMm: ranged('ctwdMm'),
    points: z
      .array(
        z.strictObject({
          wireFeedMPerMin: ranged('wireFeedMPerMin'),
          meanCurrentA: z.number().min(5).max(700),
          voltageV: z.number().min(8).max(50).nullable(),
          /** In pulse; left out in rows written before: steady. */
          rmsCurrentA: z.number().min(5).max(700).optional(),
        }),
      )
      .min(1)
      .max(20),
  }),
  'first-arc': z.strictObject({
    /** Day in the shop's time zone. */
    day: z.iso.date(),
    materialGroup: materialField,
    ticks: z.record(z.string().max(80), z.boolean()),
  }),
  /** Lines of a card that a hand set and ticked at the machine. */
  'dials-set': z.strictObject({ dials: dialReadings }),
  replaced: z.strictObject({
    feederId: idOf('feeder'),
    part: closed(wearParts),
    /** Worn out, or taken off while still good. */
    reason: z.enum(['worn', 'still-good']),
    note,
  }),
  note: z.strictObject({ text: z.string().trim().min(1).max(2000) }),
  /** A record that the server refused, given to a lead hand with everything in it; settled by a withdrawal that says what became of it. */
  'handed-over': z.strictObject({
    /** Endpoint it was made for. */
    what: z.string().min(1).max(40),
    /** What it is about, as it stood on the device. */
    about: z.string().max(300),
    why: z.string().max(600),
    params: z.record(z.string(), z.string().max(80)),
    sent: z.record(z.string(), z.unknown()),
  }),
  /** Takes back the row that it names in `corrects`. */
  withdrawal: z.strictObject({ why: note }),
} as const;

export type RecordedKind = keyof typeof recordedKinds;

export const recordedKindNames = Object.keys(recordedKinds) as [RecordedKind, ...RecordedKind[]];

/** Kinds written by what somebody did elsewhere: counted parts, moved stock, stored, found, locked, issued. */
export const actKinds = [
  'parts-done',
  'stock',
  'slot-found',
  'standing',
  'direction-test',
  'lock',
  'issue',
  'limits',
  'window',
  'trial',
  'run',
  'run-decision',
  'release',
  'offset',
] as const;

export type ActKind = (typeof actKinds)[number];

const common = {
  machineId: idOf('machine').optional(),
  seamId: idOf('seam').optional(),
  /** Who welded, when it was somebody else than who records. */
  weldedBy: idField.optional(),
  /** The device's clock, where it recorded without the server. */
  deviceAt: timestampField.optional(),
  /** Row that this one corrects. */
  corrects: z.uuid().optional(),
  attachments: z
    .array(z.strictObject({ sha256: z.string().regex(/^[0-9a-f]{64}$/), name: z.string().trim().min(1).max(120) }))
    .max(12)
    .optional(),
};

/** One shape for each kind, told apart by `kind`. */
export const observationCreate = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lead-reading'), body: recordedKinds['lead-reading'], ...common }),
  z.strictObject({ kind: z.literal('step-time'), body: recordedKinds['step-time'], ...common }),
  z.strictObject({ kind: z.literal('burn-back-stop'), body: recordedKinds['burn-back-stop'], ...common }),
  z.strictObject({ kind: z.literal('calibration-points'), body: recordedKinds['calibration-points'], ...common }),
  z.strictObject({ kind: z.literal('first-arc'), body: recordedKinds['first-arc'], ...common }),
  z.strictObject({
    kind: z.literal('dials-set'),
    body: recordedKinds['dials-set'],
    ...common,
    machineId: idOf('machine'),
  }),
  z.strictObject({
    kind: z.literal('replaced'),
    body: recordedKinds.replaced,
    ...common,
    machineId: idOf('machine'),
  }),
  z.strictObject({ kind: z.literal('note'), body: recordedKinds.note, ...common }),
  z.strictObject({ kind: z.literal('handed-over'), body: recordedKinds['handed-over'], ...common }),
  z.strictObject({ kind: z.literal('withdrawal'), body: recordedKinds.withdrawal, ...common, corrects: z.uuid() }),
]);

export const observation = z.object({
  id: z.uuid(),
  row: z.int(),
  kind: z.enum([...recordedKindNames, ...actKinds]),
  at: timestampField,
  deviceAt: timestampField.nullable(),
  recordedBy: z.string(),
  /** Under whose session it came, where that was somebody else's. */
  sentBy: z.string().nullable(),
  weldedBy: z.string().nullable(),
  machineId: idOf('machine').nullable(),
  seamId: idOf('seam').nullable(),
  revision: z.int().nullable(),
  contentHash: z.string().nullable(),
  corrects: z.uuid().nullable(),
  body: z.record(z.string(), z.unknown()),
  attachments: z.array(z.object({ sha256: z.string(), name: z.string(), mediaType: z.string(), size: z.int() })),
});

export const observationQuery = z.object({
  kind: z.string().max(40).optional(),
  machine: idField.optional(),
  seam: idField.optional(),
});

export type ObservationCreate = z.infer<typeof observationCreate>;

export type Observation = z.infer<typeof observation>;

export const observationEndpoints = {
  observations: {
    method: 'GET',
    path: '/observations',
    summary: message('contract.endpoint.observations'),
    act: 'observations',
    query: observationQuery,
    answer: pageOf(observation),
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: message('contract.endpoint.observation-add'),
    act: 'observe',
    body: observationCreate,
    answer: observation,
    status: 201,
    needs: 'key',
    late: true,
  },
} as const satisfies Endpoints;
