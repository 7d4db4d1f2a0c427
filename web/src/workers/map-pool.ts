/**
 * A map from a pool of workers, coarse to fine: first few places over the whole of it, then twice more, each picture handed out as it
 * grows. A worker that dies is replaced once and its places are asked for again; a second death ends the map with a word.
 */
import { failure, success, type Cell, type MapRequest, type Outcome, type ZoneMap } from '@fox-tempo/core';
import type { FromMapWorker, ToMapWorker } from './map-protocol.ts';

export interface MapWorkerLike {
  postMessage(message: ToMapWorker): void;
  terminate(): void;
  onmessage: ((event: MessageEvent<FromMapWorker>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

/** Places along each side and the measured part of each run, s, from coarse to fine. */
export const mapPasses = [
  { count: 8, seconds: 0.08 },
  { count: 20, seconds: 0.15 },
  { count: 40, seconds: 0.3 },
] as const;

export interface MapOptions {
  readonly signal?: AbortSignal;
  readonly onPicture?: (map: ZoneMap, share: number) => void;
  readonly passes?: readonly { readonly count: number; readonly seconds: number }[];
}

export interface MapPool {
  /** The finest picture; `cancelled` after an abort, `worker-died` when a worker died twice. */
  draw(request: Omit<MapRequest, 'seconds'>, options?: MapOptions): Promise<Outcome<ZoneMap>>;
  close(): void;
}

/** Pictures kept for when the welder comes back to a setting. */
const kept = 12;

export function createMapPool(makeWorker: () => MapWorkerLike, size: number): MapPool {
  const workers: (MapWorkerLike | undefined)[] = Array.from({ length: size }, () => undefined);
  const finished = new Map<string, ZoneMap>();
  let lastId = 0;
  // Two maps side by side share the workers: passes take turns, so that both grow.
  let turn: Promise<unknown> = Promise.resolve();

  /** One pass over all workers. */
  function pass(
    request: MapRequest,
    count: number,
    cells: (Cell | null)[],
    signal: AbortSignal | undefined,
    onProgress: (done: number) => void,
  ): Promise<'done' | 'cancelled' | 'died'> {
    return new Promise((settle) => {
      let running = size;
      let doneCells = 0;
      let deaths = 0;
      let isOver = false;
      const ids: number[] = [];
      const end = (how: 'done' | 'cancelled' | 'died') => {
        if (isOver) return;
        isOver = true;
        signal?.removeEventListener('abort', onAbort);
        settle(how);
      };
      const onAbort = () => {
        ids.forEach((id, at) => workers[at]?.postMessage({ kind: 'cancel', id }));
        end('cancelled');
      };
      signal?.addEventListener('abort', onAbort);
      const ask = (at: number, places: readonly number[]) => {
        const worker = (workers[at] ??= makeWorker());
        const id = ++lastId;
        ids[at] = id;
        worker.onmessage = ({ data }) => {
          if (isOver || data.id !== id) return;
          if (data.kind === 'finished') {
            running--;
            if (running === 0) end('done');
            return;
          }
          for (const { place, cell } of data.done) cells[place] = cell;
          doneCells += data.done.length;
          onProgress(doneCells / (count * count));
        };
        worker.onerror = () => {
          worker.terminate();
          workers[at] = undefined;
          if (isOver) return;
          if (++deaths > 1) end('died');
          else
            ask(
              at,
              places.filter((place) => cells[place] === null),
            );
        };
        worker.postMessage({ kind: 'cells', id, request, count, places });
      };
      for (let at = 0; at < size; at++) ask(at, share(count, size, at));
    });
  }

  return {
    async draw(wanted, { signal, onPicture, passes = mapPasses } = {}) {
      const key = JSON.stringify([wanted, passes]);
      const known = finished.get(key);
      if (known) {
        onPicture?.(known, 1);
        return success(known);
      }
      let last: ZoneMap | undefined;
      for (const { count, seconds } of passes) {
        const cells: (Cell | null)[] = Array.from({ length: count * count }, () => null);
        const picture = (): ZoneMap => ({ count, x: wanted.x, y: wanted.y, cells: [...cells] });
        // A finer picture is shown once it says more than the coarse one.
        const mine = turn.then(() =>
          signal?.aborted
            ? 'cancelled'
            : pass({ ...wanted, seconds }, count, cells, signal, (done) => {
                if (!last) onPicture?.(picture(), done);
                else onPicture?.(last, done);
              }),
        );
        turn = mine;
        const how = await mine;
        if (how === 'cancelled' || signal?.aborted) return failure(cancelled);
        if (how === 'died') return failure(died);
        last = picture();
        onPicture?.(last, 1);
      }
      if (!last) return failure(cancelled);
      finished.set(key, last);
      if (finished.size > kept) finished.delete(finished.keys().next().value ?? '');
      return success(last);
    },
    close() {
      for (const worker of workers) worker?.terminate();
      workers.fill(undefined);
    },
  };
}

const cancelled = { path: '', code: 'cancelled', message: 'The map was cancelled.' };
const died = {
  path: '',
  code: 'worker-died',
  message: 'The map’s workers stopped twice.',
  hint: 'Draw it again; new workers are started.',
};

/** Every `size`-th place, so that all workers paint over the whole of the map. */
function share(count: number, size: number, at: number): number[] {
  return Array.from({ length: count * count }, (_, place) => place).filter((place) => place % size === at);
}
