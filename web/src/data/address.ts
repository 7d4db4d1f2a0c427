/** Addresses of the API, for links and for what the browser fetches by itself. */
import { pathOf, type EndpointName, type ParamsOf } from '@fox-tempo/contract';
import { endpointFacts } from './endpoint-facts.ts';

export function addressOf<K extends EndpointName>(
  name: K,
  params?: ParamsOf<K>,
  query?: Readonly<Record<string, string>>,
): string {
  const asks = query && Object.keys(query).length > 0 ? `?${new URLSearchParams(query).toString()}` : '';
  return `/api${pathOf(endpointFacts[name], params)}${asks}`;
}
