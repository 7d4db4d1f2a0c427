/** Every endpoint of the API, once: it mounts the server's routes, types the client, writes OpenAPI, and drives the test that walks every endpoint. */
import type { z } from 'zod';
import type { Endpoint } from './endpoint.ts';
import type { Id, Noun } from './fields.ts';
import { blobEndpoints } from './resources/blobs.ts';
import { bundleEndpoints } from './resources/bundles.ts';
import { computeEndpoints } from './resources/compute.ts';
import { diagnosisEndpoints } from './resources/diagnosis.ts';
import { jobEndpoints } from './resources/jobs.ts';
import { leadReadingEndpoints } from './resources/lead-readings.ts';
import { learnedEndpoints } from './resources/learned.ts';
import { machineEndpoints } from './resources/machines.ts';
import { observationEndpoints } from './resources/observations.ts';
import { orderEndpoints } from './resources/orders.ts';
import { paperEndpoints } from './resources/papers.ts';
import { partEndpoints } from './resources/parts.ts';
import { peopleEndpoints } from './resources/people.ts';
import { runEndpoints } from './resources/runs.ts';
import { seamEndpoints } from './resources/seams.ts';
import { serviceEndpoints } from './resources/service.ts';
import { sessionEndpoints } from './resources/session.ts';
import { shiftEndpoints } from './resources/shift.ts';
import { shopEndpoints } from './resources/shop.ts';
import { slotEndpoints } from './resources/slots.ts';
import { standInEndpoints } from './resources/stand-ins.ts';
import { stepTimeEndpoints } from './resources/step-times.ts';
import { stockEndpoints } from './resources/stock.ts';
import { trialEndpoints } from './resources/trials.ts';
import { wearEndpoints } from './resources/wear.ts';
import { wordEndpoints } from './resources/words.ts';

export const endpoints = {
  ...serviceEndpoints,
  ...sessionEndpoints,
  ...shopEndpoints,
  ...wordEndpoints,
  ...bundleEndpoints,
  ...peopleEndpoints,
  ...partEndpoints,
  ...orderEndpoints,
  ...seamEndpoints,
  ...paperEndpoints,
  ...learnedEndpoints,
  ...trialEndpoints,
  ...diagnosisEndpoints,
  ...runEndpoints,
  ...standInEndpoints,
  ...machineEndpoints,
  ...slotEndpoints,
  ...wearEndpoints,
  ...shiftEndpoints,
  ...leadReadingEndpoints,
  ...stepTimeEndpoints,
  ...stockEndpoints,
  ...observationEndpoints,
  ...blobEndpoints,
  ...computeEndpoints,
  ...jobEndpoints,
};
export type EndpointName = keyof Api;
export const endpointNames = Object.keys(endpoints) as EndpointName[];
type Api = typeof endpoints;

/** One endpoint, whichever: what its name alone does not tell. */
export function endpointOf(name: EndpointName): Endpoint {
  return endpoints[name];
}

type Names<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Names<Rest>
  : P extends `${string}:${infer Name}`
    ? Name extends `${infer Bare}.${string}`
      ? Bare
      : Name
    : never;

type Shape<K extends EndpointName, Part extends string> = Api[K] extends {
  readonly [P in Part]: infer S extends z.ZodType;
}
  ? S
  : never;

/** Whose ids are branded, by the first segment of a path. */
interface Owners {
  readonly seams: 'seam';
  readonly machines: 'machine';
  readonly parts: 'part';
  readonly orders: 'order';
  readonly people: 'person';
  readonly trials: 'trial';
  readonly runs: 'run';
}

/** Whose id stands first in a path. */
type Owner<P extends string> = P extends `/${infer Rows extends keyof Owners}/:${string}` ? Owners[Rows] : never;

/** Parameters in an endpoint's path, by name. */
export type ParamsOf<K extends EndpointName> = {
  readonly [N in Names<Api[K]['path']>]: [N, Owner<Api[K]['path']>] extends ['id', infer Of extends Noun]
    ? [Of] extends [never]
      ? string
      : Id<Of>
    : string;
};
/** What it takes, as the server gets it. */
export type BodyOf<K extends EndpointName> = [Shape<K, 'body'>] extends [never]
  ? undefined
  : z.output<Shape<K, 'body'>>;
/** What a client sends. */
export type SendOf<K extends EndpointName> = [Shape<K, 'body'>] extends [never] ? undefined : z.input<Shape<K, 'body'>>;
export type QueryOf<K extends EndpointName> = [Shape<K, 'query'>] extends [never]
  ? Record<string, never>
  : z.output<Shape<K, 'query'>>;
export type AnswerOf<K extends EndpointName> = [Shape<K, 'answer'>] extends [never]
  ? unknown
  : z.output<Shape<K, 'answer'>>;
/** Endpoints that take what a person observed: it may arrive late, and under another session. */
export type ObservedEndpoint = {
  [K in EndpointName]: Api[K] extends { late: true; body: z.ZodType } ? K : never;
}[EndpointName];
