/**
 * A map from a pool of workers, coarse to fine: first few places over the whole of it, then those next to a border between zones, at last
 * single islands for longer. Each picture is handed out as it grows. A worker that dies is replaced once and its places are asked for again; a second death ends the map with a word.
 */
import {
  failure,
  filledFrom,
  islandPass,
  islandsOf,
  mapPasses,
  placesToRun,
  success,
  type Cell,
  type MapPass,
  type MapRequest,
  type Outcome,
  type ZoneMap,
} from '@fox-tempo/core';
import type { FromMapWorker, ToMapWorker } from './map-protocol.ts';

export interface MapWorkerLike {
  postMessage(message: ToMapWorker): void;
  terminate(): void;
  onmessage: ((event: MessageEvent<FromMapWorker>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

export interface MapOptions {
  readonly signal?: AbortSignal;
  readonly onPicture?: (map: ZoneMap, share: number) => void;
  readonly passes?: readonly MapPass[];
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
    wanted: readonly number[],
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
      // What is still owed: places already filled from a coarser picture are not.
      const owed = new Set(wanted);
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
          for (const { place, cell } of data.done) {
            cells[place] = cell;
            owed.delete(place);
          }
          doneCells += data.done.length;
          onProgress(doneCells / wanted.length);
        };
        worker.onerror = () => {
          worker.terminate();
          workers[at] = undefined;
          if (isOver) return;
          if (++deaths > 1) end('died');
          else
            ask(
              at,
              places.filter((place) => owed.has(place)),
            );
        };
        worker.postMessage({ kind: 'cells', id, request, count, places });
      };
      // Every so many-th place, so that all workers paint over the whole of the map.
      for (let at = 0; at < size; at++)
        ask(
          at,
          wanted.filter((_, index) => index % size === at),
        );
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
      /** Runs places on a grid that already holds what is known; the finished picture, or why there is none. */
      const run = async (
        how: Omit<MapPass, 'count'>,
        count: number,
        cells: (Cell | null)[],
        places: readonly number[],
      ): Promise<ZoneMap | 'cancelled' | 'died'> => {
        const { seconds, settleS, stepS } = how;
        const picture = (): ZoneMap => ({ count, x: wanted.x, y: wanted.y, cells: [...cells] });
        if (places.length === 0) return picture();
        const shown = last;
        const mine = turn.then(() =>
          signal?.aborted
            ? 'cancelled'
            : pass({ ...wanted, seconds, settleS, stepS }, count, cells, places, signal, (done) =>
                // A finer picture is shown once it says more than the coarse one.
                onPicture?.(shown ?? picture(), done),
              ),
        );
        turn = mine;
        const ended = await mine;
        if (signal?.aborted) return 'cancelled';
        return ended === 'done' ? picture() : ended;
      };
      for (const one of passes) {
        const drawn = await run(one, one.count, filledFrom(last, one.count), placesToRun(last, one.count));
        if (typeof drawn === 'string') return failure(drawn === 'died' ? died : cancelled);
        last = drawn;
        onPicture?.(last, 1);
      }
      const islands = last ? islandsOf(last) : [];
      if (last && islands.length > 0) {
        const drawn = await run(islandPass, last.count, [...last.cells], islands);
        if (typeof drawn === 'string') return failure(drawn === 'died' ? died : cancelled);
        last = drawn;
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
