/** The program file, version 2: the physical setting that a revision keeps. */
import type { FillerCode } from '@fox-tempo/core/metal/consumables';
import type { Outcome } from '@fox-tempo/core/base/outcome';
import { gunRanges } from '@fox-tempo/core/setting/plan';
import {
  mostTaps,
  plainSequence,
  type SequenceNumber,
  sequenceRanges,
  triggerSchools,
  usualSequence,
} from '@fox-tempo/core/weld/sequence';
import { quantity } from '@fox-tempo/core/base/units';
import { z } from 'zod';
import { fillerField, gasField, modeField, ranged } from '../fields.ts';
import { readVersioned } from './version.ts';

export const programVersion = 2;

export const slowBeat = z.object({
  meanFeedMPerMin: ranged('wireFeedMPerMin'),
  highFeedMPerMin: ranged('wireFeedMPerMin'),
  lowFeedMPerMin: ranged('wireFeedMPerMin'),
  highShare: z.number().gt(0).lt(1),
  frequencyHz: z.number().min(0.2).max(10),
});

const field = (name: SequenceNumber) => {
  const { min, max, kind } = sequenceRanges[name];
  return z.number().min(min).max(max).describe(quantity(kind).metric.label);
};

/** Came with a later edition of the file: a sequence written before it means the plain value. */
const added = (name: SequenceNumber) => field(name).default(plainSequence[name]);

export const triggerSequence = z.object({
  trigger: z.enum(triggerSchools),
  preGasS: field('preGasS'),
  runInPercent: field('runInPercent'),
  runInAfterS: added('runInAfterS'),
  startPercent: field('startPercent'),
  startTrimMm: added('startTrimMm'),
  startS: field('startS'),
  slopeInS: field('slopeInS'),
  secondPercent: added('secondPercent'),
  secondTrimMm: added('secondTrimMm'),
  tapsAtMm: z.array(z.number().positive().max(100_000)).max(mostTaps).readonly().default([]),
  slopeOutS: field('slopeOutS'),
  endPercent: field('endPercent'),
  endTrimMm: added('endTrimMm'),
  endS: field('endS'),
  burnBackMs: field('burnBackMs'),
  endPulse: z.boolean().default(plainSequence.endPulse),
  postGasS: field('postGasS'),
  spotS: added('spotS'),
  tackSpacingMm: added('tackSpacingMm'),
  stitchOnS: added('stitchOnS'),
  stitchOffS: added('stitchOffS'),
});

/** Work angle in the joint; travel angle along it, plus pushes, minus drags; °. */
export const gunAngles = z.object({
  workDeg: z.number().min(gunRanges.workDeg[0]).max(gunRanges.workDeg[1]),
  travelDeg: z.number().min(gunRanges.travelDeg[0]).max(gunRanges.travelDeg[1]),
});

export const programFile = z.looseObject({
  format: z.literal('fox-tempo/program'),
  version: z.literal(programVersion),
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  mode: modeField,
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  trimMm: ranged('trimMm'),
  stiffness: ranged('stiffness'),
  pulse: z
    .object({
      peakCurrentA: ranged('peakCurrentA'),
      peakTimeMs: ranged('peakTimeMs'),
      backgroundCurrentA: ranged('backgroundCurrentA'),
      frequencyHz: ranged('frequencyHz'),
      slewAPerMs: ranged('slewAPerMs'),
    })
    .nullable(),
  slowBeat: slowBeat.nullable(),
  sequence: triggerSequence,
  ctwdMm: ranged('ctwdMm'),
  travelMmPerMin: z.number().positive(),
  gasFlowLPerMin: z.number().min(0).max(60),
  gun: gunAngles.optional(),
  origin: z.enum(['rule', 'rule, feed chosen', 'read from a machine']),
});

export type ProgramFile = z.infer<typeof programFile>;

/** A program file of any version up to this one. */
export function readProgramFile(value: unknown): Outcome<ProgramFile> {
  return readVersioned(value, 'program', programFile, { version: programVersion, migrate: { 1: fromVersion1 } });
}

/** Version 1 knew plain pulse and no trigger sequence; a usual one stands in. */
function fromVersion1(file: Record<string, unknown>): Record<string, unknown> {
  return { slowBeat: null, sequence: usualSequence(file['filler'] as FillerCode, 3, 300), ...file, version: 2 };
}
