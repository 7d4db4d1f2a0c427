/** The page's one pool of map workers: a core for each, one left for the page, two at least. */
import { createMapPool } from './map-pool.ts';

const size = Math.min(Math.max((globalThis.navigator?.hardwareConcurrency ?? 2) - 1, 2), 4);

export const mapPool = createMapPool(
  () => new Worker(new URL('./map.worker.ts', import.meta.url), { type: 'module' }),
  size,
);
