/** Whether nothing was ever welded here; false until it is known. */
import { useEndpoint } from '../../data/queries.ts';

export function useIsNewShop(): boolean {
  const { data: runs } = useEndpoint('runs', { query: { limit: '1' } });
  return runs?.items.length === 0;
}
