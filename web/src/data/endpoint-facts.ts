/**
 * What a client must know of each endpoint: method, path, what it asks for. The build writes these facts out in place of this module
 * (`build/endpoint-facts.ts`), so that the first view loads them without the shapes.
 */
import { endpoints, type EndpointFacts, type EndpointName } from '@fox-tempo/contract';

export const endpointFacts: Readonly<Record<EndpointName, EndpointFacts>> = endpoints;
