/** OpenAPI 3.1 description of the API, generated from the shapes that the server parses with. */
import { z } from 'zod';
import { machineWithStanding as machineResource, standingSave } from './standing.ts';
import { problemShape } from './problem.ts';
import {
  cylinder,
  cylinderSave,
  directionSave,
  leadReading,
  leadReadingCreate,
  partsDone,
  slotEntry,
  slotFound,
  slotStore,
  spool,
  spoolSave,
  stepTimeCreate,
  stepTimes,
  stock,
} from './shop-floor.ts';
import { machineCreate, machineSave } from './machine-save.ts';
import { order, pageOf, part, person, revision, seamCreate, seamResource, seamSave } from './shop.ts';
import { verbNames, verbs } from './verbs.ts';

interface Operation {
  readonly summary: string;
  readonly answer?: z.ZodType;
  readonly status?: number;
  readonly body?: z.ZodType;
  /** Write that carries If-Match. */
  readonly versioned?: boolean;
  /** Write that names its author. */
  readonly authored?: boolean;
  readonly paged?: boolean;
}

const operations: Record<string, Record<string, Operation>> = {
  '/health': { get: { summary: 'Answers when server and database do', answer: z.object({ status: z.literal('ok') }) } },
  '/people': { get: { summary: 'People of the shop', answer: pageOf(person) } },
  '/parts': { get: { summary: 'Parts', answer: pageOf(part) } },
  '/orders': { get: { summary: 'Orders by due date', answer: pageOf(order), paged: true } },
  '/orders/{id}/done': {
    post: { summary: 'Counts parts done, and gas and wire down', body: partsDone, authored: true },
  },
  '/machines': {
    get: { summary: 'Machines', answer: pageOf(machineResource) },
    post: { summary: 'Describes a machine', body: machineCreate, answer: machineResource, status: 201, authored: true },
  },
  '/machines/{id}': {
    get: { summary: 'One machine', answer: machineResource },
    put: { summary: 'Saves its file', body: machineSave, answer: machineResource, versioned: true, authored: true },
  },
  '/machines/{id}/standing': {
    put: { summary: 'How it stands now', body: standingSave, answer: machineResource, versioned: true, authored: true },
  },
  '/machines/{id}/directions': {
    post: {
      summary: 'What a direction test found',
      body: directionSave,
      answer: machineResource,
      versioned: true,
      authored: true,
    },
  },
  '/machines/{id}/slots': { get: { summary: 'What stands in its memory', answer: pageOf(slotEntry) } },
  '/machines/{id}/slots/{slot}': {
    get: { summary: 'Everything that ever stood in a slot', answer: pageOf(slotEntry) },
    post: {
      summary: 'Stores a seam’s newest revision',
      body: slotStore,
      answer: slotEntry,
      status: 201,
      authored: true,
    },
  },
  '/machines/{id}/slots/{slot}/found': {
    post: { summary: 'What somebody found on the dials', body: slotFound, answer: slotEntry, authored: true },
  },
  '/machines/{id}/lead-readings': {
    get: { summary: 'Resistance of leads, gun and clamp', answer: pageOf(leadReading) },
    post: {
      summary: 'Logs a reading',
      body: leadReadingCreate,
      answer: pageOf(leadReading),
      status: 201,
      authored: true,
    },
  },
  '/machines/{id}/step-times': {
    get: { summary: 'The shop’s own minutes', answer: stepTimes },
    post: { summary: 'Minutes a step took', body: stepTimeCreate, answer: stepTimes, status: 201, authored: true },
  },
  '/stock': { get: { summary: 'Cylinders and spools', answer: stock } },
  '/stock/cylinders': {
    post: { summary: 'Adds a cylinder', body: cylinderSave, answer: cylinder, status: 201, authored: true },
  },
  '/stock/cylinders/{id}': {
    put: {
      summary: 'Reads or moves a cylinder',
      body: cylinderSave,
      answer: cylinder,
      versioned: true,
      authored: true,
    },
  },
  '/stock/spools': { post: { summary: 'Adds a spool', body: spoolSave, answer: spool, status: 201, authored: true } },
  '/stock/spools/{id}': {
    put: { summary: 'Reads or moves a spool', body: spoolSave, answer: spool, versioned: true, authored: true },
  },
  '/seams/{id}/card.pdf': { get: { summary: 'The newest revision on one machine’s card, as PDF' } },
  '/seams': {
    get: { summary: 'Seams in the order they were described', answer: pageOf(seamResource), paged: true },
    post: { summary: 'Describes a seam', body: seamCreate, answer: seamResource, status: 201, authored: true },
  },
  '/seams/{id}': {
    get: { summary: 'One seam with its newest revision', answer: seamResource },
    put: {
      summary: 'Saves seam and setting as the next revision',
      body: seamSave,
      answer: seamResource,
      versioned: true,
      authored: true,
    },
  },
  '/seams/{id}/revisions': { get: { summary: 'All revisions, the newest first', answer: pageOf(revision) } },
  ...Object.fromEntries(
    verbNames.map((name) => [`/compute/${name}`, { post: { summary: verbs[name].summary, body: verbs[name].input } }]),
  ),
};

export function openApiDocument(): Record<string, unknown> {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fox Tempo',
      version: '0.1.0',
      description: 'Welds as physics, and what to dial. Errors are RFC 9457 problem documents.',
    },
    servers: [{ url: '/api' }],
    paths: Object.fromEntries(
      Object.entries(operations).map(([path, methods]) => [
        path,
        Object.fromEntries(Object.entries(methods).map(([method, operation]) => [method, describe(path, operation)])),
      ]),
    ),
  };
}

function describe(
  path: string,
  { summary, answer, body, status = 200, versioned, authored, paged }: Operation,
): Record<string, unknown> {
  const parameter = (name: string, where: string, description: string, required: boolean) => ({
    name,
    in: where,
    required,
    description,
    schema: { type: 'string' },
  });
  const parameters = [
    ...[...path.matchAll(/\{(\w+)\}/g)].map((match) => parameter(match[1] ?? '', 'path', 'Identifier', true)),
    ...(versioned ? [parameter('If-Match', 'header', 'ETag of the version the write is based on', true)] : []),
    ...(authored ? [parameter('x-fox-person', 'header', 'Who writes', true)] : []),
    ...(paged
      ? [
          parameter('cursor', 'query', 'Cursor of the page before', false),
          parameter('limit', 'query', 'Rows, 1 to 200', false),
        ]
      : []),
  ];
  const json = (shape: z.ZodType, io: 'input' | 'output') => ({
    'application/json': { schema: z.toJSONSchema(shape, { io, unrepresentable: 'any' }) },
  });
  return {
    summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: json(body, 'input') } } : {}),
    responses: {
      [status]: {
        description: 'Done',
        ...(answer ? { content: json(answer, 'output') } : { content: { 'application/json': {} } }),
      },
      default: {
        description: 'Refused',
        content: { 'application/problem+json': { schema: z.toJSONSchema(problemShape, { unrepresentable: 'any' }) } },
      },
    },
  };
}
