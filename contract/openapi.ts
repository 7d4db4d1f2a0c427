/** OpenAPI 3.1 description of the API, written from the table of doors. */
import type { Phrase } from '@fox-tempo/core/said';
import { z } from 'zod';
import { doorNames, needsKey, needsVersion } from './doors.ts';
import { doors, type Door } from './endpoints.ts';
import { authorHeader, comesLate, madeAtHeader } from './outbox.ts';
import { problemShape } from './problem-shape.ts';
import { verbNames, verbs } from './verbs.ts';

/** `tell` says the summaries: in English in the committed description, in the reader's language on a server. */
export function openApiDocument(tell: (said: Phrase) => string): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  const add = (door: Door, late: boolean, path = door.path) => {
    const at = path.replace(/:(\w+)/g, '{$1}');
    paths[at] = { ...paths[at], [door.method.toLowerCase()]: describe(at, door, late, tell) };
  };
  for (const name of doorNames) {
    if (name === 'compute')
      for (const verb of verbNames)
        add({ ...doors.compute, summary: verbs[verb].summary, body: verbs[verb].input }, false, `/compute/${verb}`);
    else add(doors[name], comesLate(name));
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fox Tempo',
      version: '0.1.0',
      description: 'Welds as physics, and what to dial. Errors are RFC 9457 problem documents.',
    },
    servers: [{ url: '/api' }],
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'tempo' } } },
    paths,
  };
}

function describe(path: string, door: Door, late: boolean, tell: (said: Phrase) => string): Record<string, unknown> {
  const { summary, answer, body, query, status = 200, needs, who, paged, media, takes } = door;
  const parameter = (name: string, where: string, description: string, required: boolean) => ({
    name,
    in: where,
    required,
    description,
    schema: { type: 'string' },
  });
  const asked = query instanceof z.ZodObject ? Object.keys(query.shape) : [];
  const parameters = [
    ...[...path.matchAll(/\{(\w+)\}/g)].map((match) => parameter(match[1] ?? '', 'path', 'Identifier', true)),
    ...(needsVersion({ needs })
      ? [parameter('If-Match', 'header', 'ETag of the version the write is based on', true)]
      : []),
    ...(needsKey({ needs })
      ? [parameter('Idempotency-Key', 'header', 'UUID; sent again, nothing is done twice', true)]
      : []),
    ...(late
      ? [
          parameter(authorHeader, 'header', 'Ticket of its author, where somebody else is signed in', false),
          parameter(madeAtHeader, 'header', 'Moment it was made, by the device', false),
        ]
      : []),
    ...asked.map((name) => parameter(name, 'query', name, false)),
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
    summary: tell(summary),
    ...(who === 'anyone' ? {} : { security: [{ session: [...who] }] }),
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: json(body, 'input') } } : {}),
    ...(takes === 'bytes' ? { requestBody: { required: true, content: { '*/*': {} } } } : {}),
    responses: {
      [status]: {
        description: 'Done',
        content: media ? { [media]: {} } : answer ? json(answer, 'output') : { 'application/json': {} },
      },
      default: {
        description: 'Refused',
        content: { 'application/problem+json': { schema: z.toJSONSchema(problemShape, { unrepresentable: 'any' }) } },
      },
    },
  };
}
