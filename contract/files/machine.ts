/** The machine file, version 2: a described power source. What it may say is checked by the core, what it looks like here. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { fillerCodes } from '@fox-tempo/core/metal/consumables';
import {
  type DialQuantity,
  dialQuantityNames,
  type Facet,
  facets,
  ignitions,
  machineIssues,
  mostChartLines,
  mostPoints,
  type Polarity,
  tipRules,
  usualFeeder,
} from '@fox-tempo/core/machine/description';
import type { Outcome } from '@fox-tempo/core/base/outcome';
import { planModes } from '@fox-tempo/core/setting/plan';
import { type SequenceNumber, sequenceNumbers, triggerSchools } from '@fox-tempo/core/weld/sequence';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, modeField, nameField, ranged } from '../fields.ts';
import { readVersioned } from './version.ts';

export const machineVersion = 2;

const quantityField = closed<DialQuantity>(dialQuantityNames);

const travel = { min: z.number(), max: z.number(), step: z.number().positive() };

const scale = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('linear'),
    quantity: quantityField,
    neutral: z.number(),
    quantityAtNeutral: z.number(),
    quantityPerUnit: z.number(),
    also: z.object({ quantity: quantityField, quantityPerUnit: z.number() }).optional(),
    ...travel,
  }),
  z.object({ kind: z.literal('percent-of'), quantity: quantityField, of: idField, ...travel }),
  z.object({ kind: z.literal('line-offset'), neutral: z.number(), voltsPerUnit: z.number(), ...travel }),
  z.object({ kind: z.literal('inverse'), quantity: quantityField, product: z.number(), ...travel }),
  z.object({
    kind: z.literal('stepped'),
    quantity: quantityField,
    positions: z.array(z.object({ label: nameField, quantity: z.number() })).max(40),
  }),
  z.object({
    kind: z.literal('named'),
    facet: closed<Facet>(facets),
    positions: z
      .array(
        z.object({
          label: nameField,
          is: z.array(z.enum([...planModes, ...fillerCodes, ...triggerSchools])).min(1),
        }),
      )
      .min(1)
      .max(40),
  }),
  z.object({ kind: z.literal('chart-line') }),
]);

const evidence = z.object({
  result: z.enum(['as-described', 'reversed']),
  by: z.string().max(80),
  on: z.iso.date(),
  note: z.string().max(300).optional(),
});

const dial = z.looseObject({
  id: idField,
  label: nameField,
  where: z.string().max(80),
  unit: z.string().max(20),
  scale,
  modes: z.array(modeField).optional(),
  hand: z.enum(['free', 'fixed']).optional(),
  senseTested: z.boolean().optional(),
  /** False while nobody has measured what one unit moves. */
  unitTested: z.boolean().optional(),
  evidence: z.array(evidence).max(50).optional(),
});

const display = z.looseObject({
  id: idField,
  label: nameField,
  where: z.string().max(80),
  unit: z.string().max(20),
  quantity: quantityField,
  digits: z.int().min(0).max(4),
});

const chartPoint = z.object({
  wireFeedMPerMin: ranged('wireFeedMPerMin').optional(),
  thicknessMm: ranged('thicknessMm').optional(),
  currentA: ranged('currentA').optional(),
  voltageV: z.number().min(8).max(60).optional(),
});

export const chartLine = z.looseObject({
  number: z.int().min(0).max(9999),
  words: z.string().max(120),
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  gas: gasField,
  mode: modeField,
  alsoGases: z
    .array(z.object({ gas: gasField, trimMm: z.number().min(-6).max(6) }))
    .max(12)
    .optional(),
  points: z.array(chartPoint).max(mostPoints).optional(),
});

const triggerMode = z.looseObject({
  id: idField,
  label: nameField,
  school: z.enum(triggerSchools),
  states: z.array(nameField).min(1).max(20),
  moves: z
    .array(z.object({ from: nameField, on: z.enum(['press', 'release', 'tap', 'time', 'arc']), to: nameField }))
    .max(60),
  plain: z.object({ startsOn: z.enum(['press', 'release']), endsOn: z.enum(['press', 'release']) }).optional(),
  endTimeoutS: z.number().min(0.5).max(60).optional(),
  fixed: z.partialRecord(z.enum(sequenceNumbers as [SequenceNumber, ...SequenceNumber[]]), z.number()).optional(),
  senseTested: z.boolean().optional(),
  evidence: z.array(evidence).max(50).optional(),
});

/** What belongs to a gun and stands on no dial. */
const gunPaper = z.looseObject({
  hoseAfterValveM: z.number().min(0).max(50).optional(),
  cableM: z.number().min(1).max(200).optional(),
  cableMm2: z.number().min(10).max(240).optional(),
  ignitions: z.array(closed(ignitions)).max(ignitions.length).optional(),
  tipRule: closed(tipRules).optional(),
  liner: z
    .object({ boreMm: z.number().min(0.8).max(6), lengthM: z.number().min(0.5).max(25), since: z.iso.date() })
    .optional(),
  rolls: z
    .array(z.object({ groove: z.enum(['V', 'U', 'knurled']), mm: z.number().min(0.5).max(3.2), colour: nameField }))
    .max(12)
    .optional(),
  tension: z
    .array(z.object({ filler: fillerField, diameterMm: ranged('diameterMm'), mark: nameField }))
    .max(20)
    .optional(),
  fittings: z
    .array(z.object({ gas: gasField, fitting: nameField, leakTestedOn: z.iso.date().optional() }))
    .max(12)
    .optional(),
});

const feeder = z.looseObject({
  id: idField,
  label: nameField,
  gun: z.string().max(80),
  gunLengthM: z.number().min(0.5).max(25),
  paper: gunPaper.optional(),
});

export const polarityField = closed<Polarity>(['electrode-positive', 'electrode-negative']);

const limits = z.looseObject({
  peakCurrentA: ranged('peakCurrentA'),
  wireFeedMPerMin: z.tuple([z.number().positive().max(60), z.number().positive().max(60)]),
  voltageV: z.tuple([z.number().min(0).max(80), z.number().min(0).max(80)]).optional(),
  duty: z
    .array(z.object({ percent: z.number().min(1).max(100), currentA: ranged('currentA') }))
    .max(6)
    .optional(),
  wireSizesMm: z.array(ranged('diameterMm')).max(20).optional(),
  polarity: z.array(polarityField).optional(),
});

/** Unknown keys are kept, so that what another program added survives a round trip. */
export const machineFile = z.looseObject({
  format: z.literal('fox-tempo/machine'),
  version: z.literal(machineVersion),
  name: nameField,
  place: z.string().max(80),
  about: z.string().max(300),
  circuitMOhm: ranged('circuitMOhm'),
  /** The machine was aligned to its leads at this resistance; left out or null: never. */
  leadCompensation: z
    .object({ mOhm: ranged('circuitMOhm'), on: z.iso.date().optional() })
    .nullable()
    .optional(),
  limits,
  /** What its slow beat moves; left out: nobody knows. */
  beatMoves: z.enum(['feed', 'current']).optional(),
  beatSchool: z.enum(['top', 'two-level', 'swing']).nullable(),
  dials: z.array(dial).max(60),
  displays: z.array(display).max(20),
  chartLines: z.array(chartLine).max(mostChartLines),
  triggerModes: z.array(triggerMode).max(20),
  tapCalls: z
    .array(z.object({ taps: z.int().min(1).max(9), slot: z.int().min(0).max(999) }))
    .max(9)
    .optional(),
  slots: z.object({ count: z.int().min(0).max(999), first: z.int().min(0).max(1) }),
  feeders: z.array(feeder).min(1).max(8),
});

export type MachineFile = z.infer<typeof machineFile>;

/** A machine file of any version up to this one, migrated and checked whole: shape first, then what it means. */
export function readMachineFile(value: unknown): Outcome<MachineFile> {
  const read = readVersioned(value, 'machine', machineFile, { version: machineVersion, migrate: { 1: fromVersion1 } });
  if (!read.ok) return read;
  const issues = machineIssues(read.value);
  return issues.length > 0 ? { ok: false, issues } : read;
}

/** What is left of a machine whose file no longer passes: its name and place, so that it can be seen and mended. */
export function outlineOf(value: unknown, id: string): MachineFile {
  const { name, place } = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>;
  const text = (one: unknown, otherwise: string) =>
    typeof one === 'string' && one.trim() !== '' ? one.trim().slice(0, 80) : otherwise;
  return blankMachine(text(name, id), text(place, ''));
}

/** A machine nobody has entered dials for yet, with limits a common one has. */
export function blankMachine(name: string, place: string): MachineFile {
  return {
    format: 'fox-tempo/machine',
    version: machineVersion,
    name,
    place,
    about: '',
    circuitMOhm: nominalCircuitMOhm,
    limits: { peakCurrentA: 300, wireFeedMPerMin: [1, 20] },
    beatSchool: null,
    dials: [],
    displays: [],
    chartLines: [],
    triggerModes: [],
    slots: { count: 0, first: 1 },
    feeders: [{ ...usualFeeder }],
  };
}

/** Version 1 knew linear dials and chart lines only. */
function fromVersion1(file: Record<string, unknown>): Record<string, unknown> {
  return {
    beatSchool: null,
    displays: [],
    triggerModes: [],
    slots: { count: 0, first: 1 },
    feeders: [{ ...usualFeeder }],
    ...file,
    version: 2,
  };
}
