/** The page's one arc worker. */
import { t } from '../lib/words.ts';
import type { Outcome } from '@fox-tempo/core/base/outcome';
import type { Simulation, SimulationInput } from '@fox-tempo/core/weld/simulation';
import type { ArcWork } from './protocol.ts';
import { supervise } from './supervised.ts';

const arcs = supervise<ArcWork>(
  t('view.workers.the-simulated-arc'),
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

interface Begun {
  readonly outcome: Promise<Outcome<Simulation>>;
  readonly abort: AbortController;
}

/** Arcs that were begun before anybody came to fetch them, by their question. */
const begun = new Map<string, Begun>();
/** One for the setting, one held, one imagined, and one that was overtaken. */
const mostBegun = 4;

function questionOf(input: SimulationInput, traceEveryS: number): string {
  return JSON.stringify([input, traceEveryS]);
}

/** Begins an arc that will be fetched in a moment, so that the worker runs while the page is drawn. The same question begins once. */
export function beginArc(input: SimulationInput, traceEveryS: number): void {
  if (typeof Worker === 'undefined') return;
  const question = questionOf(input, traceEveryS);
  if (begun.has(question)) return;
  const abort = new AbortController();
  begun.set(question, { outcome: simulateArc(input, { traceEveryS, signal: abort.signal }), abort });
  for (const [older, { abort: give }] of begun) {
    if (begun.size <= mostBegun) break;
    give.abort();
    begun.delete(older);
  }
}

/** The arc that was begun for this question, or one begun now. */
export function fetchArc(
  input: SimulationInput,
  traceEveryS: number,
  signal: AbortSignal,
): Promise<Outcome<Simulation>> {
  const question = questionOf(input, traceEveryS);
  const found = begun.get(question);
  if (!found) return simulateArc(input, { traceEveryS, signal });
  begun.delete(question);
  signal.addEventListener('abort', () => found.abort.abort());
  return found.outcome;
}
