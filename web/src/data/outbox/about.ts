/** What a record is about, in the names that the page has read: it is read later, when nobody remembers ids. */
import type { MachineResource, ObservedEndpoint, Order, SeamResource, Stock } from '@fox-tempo/contract';
import { queryClient } from '../queries.ts';

/** Everything the page has read from an endpoint, lists and single ones alike. */
function known<T>(...names: readonly string[]): T[] {
  return queryClient
    .getQueryCache()
    .getAll()
    .filter(({ queryKey }) => names.includes(String(queryKey[1])))
    .flatMap(({ state }) => (state.data as T | readonly T[] | undefined) ?? []);
}

export function aboutOf(
  name: ObservedEndpoint,
  params: Readonly<Record<string, string>>,
  body: unknown,
): string {
  const { seamId, machineId } = body as { readonly seamId?: string; readonly machineId?: string };
  const seam = known<SeamResource>('seams', 'seam').find(({ id }) => id === seamId)?.spec.name;
  const machine = (id: string | undefined) =>
    known<MachineResource>('machines', 'machine').find((one) => one.id === id)?.file.name;
  const { id } = params;
  const thing =
    name === 'partsDone'
      ? known<Order>('orders').find((one) => one.id === id)?.number
      : name === 'saveCylinder' || name === 'saveSpool'
        ? known<Stock>('stock')
            .flatMap(({ cylinders, spools }) => [...cylinders, ...spools])
            .find((one) => one.id === id)?.name
        : machine(id ?? machineId);
  return [seam ?? seamId, thing ?? id ?? machineId].filter((one) => one !== undefined).join(', ');
}
