/** The page's one arc worker. */
import { createArcClient } from './arc-client.ts';

export const arcClient = createArcClient(
  () => new Worker(new URL('./arc.worker.ts', import.meta.url), { type: 'module' }),
);
