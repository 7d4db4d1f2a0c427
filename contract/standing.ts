/** How a machine stands: process, poles, what is threaded and connected on each feeder, what its dials show. Gear as last entered, dials as last known. */
import { dialSources, grooves, liners, setupProcesses } from '@fox-tempo/core/setup';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, ranged, timestampField } from './fields.ts';
import { machineResource, polarityField } from './machine.ts';

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
  feederId: idField,
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
