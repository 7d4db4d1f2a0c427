/** Machines: the described power source with what was observed of it. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { dialSources, grooves, liners, setupProcesses } from '@fox-tempo/core/machine/setup';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, idOf, ranged, timestampField } from '../fields.ts';
import { machineFile, polarityField } from '../files/machine.ts';
import { issueShape } from '../problem.ts';
import { pageOf } from '../page.ts';

/** What somebody read off the panel with one wire in one gas. */
export const machineCalibration = z.object({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  ctwdMm: ranged('ctwdMm'),
  points: z.array(
    z.object({
      wireFeedMPerMin: z.number(),
      meanCurrentA: z.number(),
      voltageV: z.number().nullable(),
      rmsCurrentA: z.number().optional(),
    }),
  ),
  at: timestampField,
  by: z.string(),
});

export type MachineCalibration = z.infer<typeof machineCalibration>;

export const machineResource = z.object({
  id: idOf('machine'),
  version: z.int(),
  file: machineFile,
  /** Taken out of use: kept with its history, not offered for new work. */
  retired: z.boolean(),
  standing: z.unknown(),
  /** Leads as measured last, mΩ; null or left out: never. */
  leadMOhm: z.number().nullish(),
  /** Points read off its panel, the newest for each wire and gas, with who and when. */
  calibrations: z.array(machineCalibration).nullish(),
  /** Why the stored file no longer passes; `file` is then an outline without dials. null when it passes. */
  trouble: z.array(issueShape).nullable(),
  changedAt: timestampField,
  changedBy: z.string(),
});

export const machineCreate = z.strictObject({ file: z.unknown() });

export const machineSave = z.strictObject({ file: z.unknown(), retired: z.boolean().optional() });

export const feederState = z.object({
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  gas: gasField,
  groove: z.enum(grooves),
  rollMm: z.number().min(0.5).max(2.5),
  liner: z.enum(liners),
  tipMm: z.number().min(0.5).max(2.5),
  recessMm: z.number().min(-10).max(20),
  flowLPerMin: z.number().min(0).max(60),
});

/** What a person enters or a set-up walk leaves behind. */
export const standingSave = z.object({
  process: z.enum(setupProcesses),
  polarity: polarityField,
  feederId: idOf('feeder'),
  feeders: z.record(idField, feederState),
  /** Dial readings by dial id. */
  dials: z.record(idField, z.number()),
  /** Memory slot it was called from; null when nobody knows. */
  slot: z.int().nullable(),
  /** Entered by hand, or left behind by the set-up walk. */
  from: z.enum(['entered', 'set-up']).default('entered'),
});

/** What was written down is one observation of many; `dials` is what is known of each by all of them. */
export const machineStanding = standingSave.extend({
  since: timestampField,
  /** From what, by whom and when each dial is known. */
  known: z.record(idField, z.object({ source: closed(dialSources), by: z.string(), at: timestampField })).default({}),
});

export type StandingSave = z.input<typeof standingSave>;

export type MachineStanding = z.infer<typeof machineStanding>;

export const machineWithStanding = machineResource.extend({ standing: machineStanding.nullable() });

export type MachineResource = z.infer<typeof machineWithStanding>;

/** A standing as stored, brought up from the first shape (one wire, one gas, nothing about the gun). */
export function readStanding(value: unknown): MachineStanding | null {
  if (typeof value !== 'object' || value === null) return null;
  const parsed = machineStanding.safeParse('feeders' in value ? value : fromFirstShape(value as FirstShape));
  return parsed.success ? parsed.data : null;
}

interface FirstShape {
  readonly filler: unknown;
  readonly diameterMm: number;
  readonly gas: unknown;
  readonly dials: unknown;
  readonly since: unknown;
}

function fromFirstShape({ filler, diameterMm, gas, dials, since }: FirstShape): unknown {
  const feeder = {
    filler,
    diameterMm,
    gas,
    groove: 'V',
    rollMm: diameterMm,
    liner: 'steel',
    tipMm: diameterMm,
    recessMm: 3,
    flowLPerMin: 15,
  };
  return {
    process: 'gas-metal',
    polarity: 'electrode-positive',
    feederId: 'one',
    feeders: { one: feeder },
    dials,
    slot: null,
    since,
  };
}

export const directionSave = z.strictObject({
  dialId: idField,
  result: z.enum(['as-described', 'reversed']),
  note: z.string().trim().max(300),
});

export type DirectionSave = z.infer<typeof directionSave>;

export const machineEndpoints = {
  machines: {
    method: 'GET',
    path: '/machines',
    summary: message('contract.machines'),
    act: 'machines',
    answer: pageOf(machineWithStanding),
    paged: true,
  },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: message('contract.describes-a-machine'),
    act: 'addMachine',
    body: machineCreate,
    answer: machineWithStanding,
    status: 201,
    needs: 'key',
    limitKb: 1024,
  },
  machine: {
    method: 'GET',
    path: '/machines/:id',
    summary: message('contract.one-machine'),
    act: 'machine',
    answer: machineWithStanding,
  },
  saveMachine: {
    method: 'PUT',
    path: '/machines/:id',
    summary: message('contract.saves-its-file'),
    act: 'saveMachine',
    body: machineSave,
    answer: machineWithStanding,
    needs: 'version',
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: '/machines/:id/standing',
    summary: message('contract.endpoint.machine-state'),
    act: 'saveStanding',
    body: standingSave,
    answer: machineWithStanding,
    needs: 'both',
    late: true,
  },
  saveDirection: {
    method: 'POST',
    path: '/machines/:id/directions',
    summary: message('contract.endpoint.direction-test'),
    act: 'saveDirection',
    body: directionSave,
    answer: machineWithStanding,
    needs: 'version',
  },
} as const satisfies Endpoints;
