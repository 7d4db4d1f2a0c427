/** The page's side of the arc worker, supervised: a worker that dies or hangs fails what it was asked, and the next question gets a new one. */
import { failure, type Issue, type Outcome, type Simulation, type SimulationInput } from '@fox-tempo/core';
import type { FromWorker, ToWorker } from './protocol.ts';

/** The part of a Worker that is used, so that tests can stand in for it. */
export interface WorkerLike {
  postMessage(message: ToWorker): void;
  terminate(): void;
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

export interface SimulateOptions {
  readonly traceEveryS?: number;
  readonly signal?: AbortSignal;
  readonly onProgress?: (share: number) => void;
}

export interface ArcClient {
  /** The result, or why there is none; `cancelled` after an abort, `worker-died` and `worker-hangs` when it had to be replaced. */
  simulate(input: SimulationInput, options?: SimulateOptions): Promise<Outcome<Simulation>>;
  close(): void;
}

interface Waiting {
  readonly settle: (outcome: Outcome<Simulation>) => void;
  readonly onProgress: ((share: number) => void) | undefined;
  timer: ReturnType<typeof setTimeout>;
}

/** Without a word for so long, a worker counts as hanging, ms. */
const silenceMs = 15_000;

export function createArcClient(makeWorker: () => WorkerLike, quietMs = silenceMs): ArcClient {
  const waiting = new Map<number, Waiting>();
  let worker: WorkerLike | undefined;
  let lastId = 0;

  function living(): WorkerLike {
    if (worker) return worker;
    const made = makeWorker();
    made.onmessage = ({ data }) => hear(data);
    made.onerror = (event) => bury('worker-died', `The simulation stopped: ${event.message}.`);
    worker = made;
    return made;
  }

  function hear(message: FromWorker): void {
    const one = waiting.get(message.id);
    if (!one) return;
    if (message.kind === 'progress') {
      clearTimeout(one.timer);
      one.timer = watch();
      one.onProgress?.(message.share);
    } else if (message.kind === 'done') end(message.id, { ok: true, value: message.result });
    else if (message.kind === 'refused') end(message.id, { ok: false, issues: message.issues });
    else end(message.id, failure(cancelledIssue));
  }

  function end(id: number, outcome: Outcome<Simulation>): void {
    const one = waiting.get(id);
    if (!one) return;
    clearTimeout(one.timer);
    waiting.delete(id);
    one.settle(outcome);
  }

  /** Ends the worker; everything it owed fails, and the next question starts a new one. */
  function bury(code: string, message: string): void {
    worker?.terminate();
    worker = undefined;
    for (const id of [...waiting.keys()])
      end(id, failure({ path: '', code, message, hint: 'Ask again; a new worker is started.' }));
  }

  function watch(): ReturnType<typeof setTimeout> {
    return setTimeout(() => bury('worker-hangs', `The simulation said nothing for ${quietMs / 1000} s.`), quietMs);
  }

  return {
    simulate(input, { traceEveryS = 0, signal, onProgress } = {}) {
      if (signal?.aborted) return Promise.resolve(failure(cancelledIssue));
      const id = ++lastId;
      return new Promise((settle) => {
        waiting.set(id, { settle, onProgress, timer: watch() });
        const target = living();
        signal?.addEventListener('abort', () => {
          if (!waiting.has(id)) return;
          target.postMessage({ kind: 'cancel', id });
          end(id, failure(cancelledIssue));
        });
        target.postMessage({ kind: 'simulate', id, input, traceEveryS });
      });
    },
    close: () => bury('cancelled', 'The simulation was closed.'),
  };
}

const cancelledIssue: Issue = { path: '', code: 'cancelled', message: 'The simulation was cancelled.' };
