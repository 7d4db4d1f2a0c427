/** OpenAPI 3.1 description of the API, written from the endpoints. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { needsKey, needsVersion, rolesOf, type Endpoint } from './endpoint.ts';
import { endpointNames, endpointOf } from './endpoints.ts';
import { authorHeader, madeAtHeader } from './outbox.ts';
import { problemShape } from './problem.ts';
import { verbNames, verbs } from './verbs/index.ts';

/** `tell` says the summaries: in English in the committed description, in the reader's language on a server. */
export function openApiDocument(tell: (said: Phrase) => string): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  const add = (endpoint: Endpoint, path = endpoint.path) => {
    const at = path.replace(/:(\w+)/g, '{$1}');
    paths[at] = { ...paths[at], [endpoint.method.toLowerCase()]: describe(at, endpoint, tell) };
  };
  for (const name of endpointNames) {
    if (name === 'compute')
      for (const verb of verbNames)
        add({ ...endpointOf(name), summary: verbs[verb].summary, body: verbs[verb].input }, `/compute/${verb}`);
    else add(endpointOf(name));
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

function describe(path: string, endpoint: Endpoint, tell: (said: Phrase) => string): Record<string, unknown> {
  const { summary, answer, body, query, status = 200, needs, late, paged, media, takes } = endpoint;
  const who = rolesOf(endpoint);
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
    ...(who === null ? {} : { security: [{ session: [...who] }] }),
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
