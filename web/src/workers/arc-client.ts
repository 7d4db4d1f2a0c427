/** The page's one arc worker. */
import type { Outcome } from '@fox-tempo/core/outcome';
import type { Simulation, SimulationInput } from '@fox-tempo/core/simulation';
import type { ArcWork } from './protocol.ts';
import { supervise } from './supervised.ts';

const arcs = supervise<ArcWork>(
  'The simulated arc',
  () => new Worker(new URL('./arc.worker.ts', import.meta.url), { type: 'module' }),
);

export interface SimulateOptions {
  readonly traceEveryS?: number;
  readonly signal?: AbortSignal;
  readonly onProgress?: (share: number) => void;
}

/** The result, or why there is none; `cancelled` after an abort, `worker-died` and `worker-hangs` when it had to be replaced. */
export function simulateArc(
  input: SimulationInput,
  { traceEveryS = 0, signal, onProgress }: SimulateOptions = {},
): Promise<Outcome<Simulation>> {
  return arcs.ask({ input, traceEveryS }, { signal, onPart: onProgress });
}
