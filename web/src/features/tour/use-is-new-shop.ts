/** Whether nothing was ever welded here; false until it is known. */
import { useDoor } from '../../data/queries.ts';

export function useIsNewShop(): boolean {
  const { data: runs } = useDoor('runs', { query: { limit: '1' } });
  return runs?.items.length === 0;
}
