/** Computations that take seconds: queued, with progress, cancel and retry. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { success, type Outcome } from '@fox-tempo/core/base/outcome';
import { axisRange, mapAxes, mapCell, type Cell, type MapRequest } from '@fox-tempo/core/weld/zone-map';
import { z } from 'zod';
import { timestampField } from '../fields.ts';
import { parseWith } from '../issues.ts';
import { issuesOf, opaque, under } from '../verbs/inner-files.ts';
import { readProgramFile } from '../files/program.ts';

/** A sweet-spot map: the arc run at each place of a grid around a program. */
const mapInput = z.strictObject({
  program: opaque,
  x: z.enum(mapAxes).default('wireFeedMPerMin'),
  y: z.enum(mapAxes).default('trimMm'),
  /** Places along each side. */
  count: z.int().min(2).max(60).default(24),
  /** Measured part of each run, s. */
  seconds: z.number().min(0.05).max(1).default(0.3),
  circuitMOhm: z.number().min(0).max(100).default(12),
});

export const jobVerbs = ['map'] as const;

export const jobCreate = z.strictObject({ verb: z.enum(jobVerbs), input: z.record(z.string(), z.unknown()) });

export const job = z.object({
  id: z.uuid(),
  verb: z.enum(jobVerbs),
  state: z.enum(['waiting', 'running', 'done', 'failed', 'cancelled']),
  /** 0 to 1. */
  progress: z.number(),
  tries: z.int(),
  answer: z.unknown(),
  trouble: z.string().nullable(),
  createdAt: timestampField,
});

export type Job = z.infer<typeof job>;
export type JobCreate = z.infer<typeof jobCreate>;

export interface MapJob {
  readonly request: MapRequest;
  readonly count: number;
}

/** Checks a map's question whole before it is queued. */
export function readMapJob(input: unknown): Outcome<MapJob> {
  const parsed = parseWith(mapInput, input);
  if (!parsed.ok) return parsed;
  const program = under('program', readProgramFile(parsed.value.program));
  if (!program.ok) return { ok: false, issues: issuesOf(program) };
  const { x, y, count, seconds, circuitMOhm } = parsed.value;
  const around = (axis: typeof x) => axisRange(program.value, axis);
  return success({ request: { program: program.value, x: around(x), y: around(y), seconds, circuitMOhm }, count });
}

/** One row of the grid: the piece a job is done in. */
export function mapRow({ request, count }: MapJob, row: number): Cell[] {
  return Array.from({ length: count }, (_, column) => mapCell(request, column, row, count));
}

export const jobEndpoints = {
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: message('contract.endpoint.job-add'),
    act: 'addJob',
    body: jobCreate,
    answer: job,
    status: 202,
    needs: 'key',
  },
  job: { method: 'GET', path: '/jobs/:id', summary: message('contract.endpoint.job'), act: 'job', answer: job },
  jobEvents: {
    method: 'GET',
    path: '/jobs/:id/events',
    summary: message('contract.endpoint.job-events'),
    act: 'jobEvents',
    media: 'text/event-stream',
  },
  cancelJob: {
    method: 'DELETE',
    path: '/jobs/:id',
    summary: message('contract.endpoint.job-cancel'),
    act: 'cancelJob',
    answer: job,
  },
} as const satisfies Endpoints;
