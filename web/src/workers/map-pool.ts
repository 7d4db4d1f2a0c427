/**
 * A map from a pool of workers, coarse to fine: first few places over the whole of it, then those next to a border between zones, at last
 * single islands for longer. Each picture is handed out as it grows. A worker that dies is replaced once and its places are asked for again; a second death ends the map with a word.
 */
import { t } from '../lib/words.ts';
import type { Program } from '@fox-tempo/core/setting/program';
import { failure, success, type Outcome } from '@fox-tempo/core/base/outcome';
import {
  filledFrom,
  islandPass,
  islandsOf,
  mapPasses,
  placesToRun,
  type Cell,
  type CellRun,
  type MapPass,
  type MapRequest,
  type ZoneMap,
} from '@fox-tempo/core/weld/zone-map';
import type { CellWork } from './protocol.ts';
import { cancelledIssue, supervise, type Supervised, type WorkerLike } from './supervised.ts';

export interface MapOptions {
  readonly signal?: AbortSignal;
  readonly onPicture?: (map: ZoneMap, share: number) => void;
  readonly passes?: readonly MapPass[];
}

export interface MapPool {
  /** The finest picture; `cancelled` after an abort, `worker-died` when a worker died twice. */
  draw(request: Omit<MapRequest, 'seconds'>, options?: MapOptions): Promise<Outcome<ZoneMap>>;
  /** Each program run by itself, handed out as they are done; places without a program cannot be had. */
  sweep(
    programs: readonly (Program | null)[],
    how: CellRun,
    options: { readonly signal: AbortSignal; readonly onCells: (cells: readonly (Cell | null)[]) => void },
  ): Promise<Outcome<null>>;
  close(): void;
}

/** Pictures kept for when the welder comes back to a setting. */
const kept = 12;

export function createMapPool(makeWorker: () => WorkerLike<CellWork>, size: number): MapPool {
  const workers: readonly Supervised<CellWork>[] = Array.from({ length: size }, () =>
    supervise<CellWork>(t('view.workers.the-map'), makeWorker),
  );
  const finished = new Map<string, ZoneMap>();
  // Two maps side by side share the workers: passes take turns, so that both grow.
  let turn: Promise<unknown> = Promise.resolve();

  /** One pass over all workers; the cells stand in `cells` as they come. */
  async function pass(
    request: MapRequest,
    count: number,
    cells: (Cell | null)[],
    wanted: readonly number[],
    signal: AbortSignal | undefined,
    onProgress: (done: number) => void,
  ): Promise<Outcome<null>> {
    let deaths = 0;
    let doneCells = 0;
    const share = async (worker: Supervised<CellWork>, places: readonly number[]): Promise<Outcome<null>> => {
      // What is still owed: places already filled from a coarser picture are not.
      const owed = new Set(places);
      for (;;) {
        const outcome = await worker.ask(
          { of: 'map', request, count, places: [...owed] },
          {
            signal,
            onPart: (done) => {
              for (const { place, cell } of done) {
                cells[place] = cell;
                owed.delete(place);
              }
              doneCells += done.length;
              onProgress(doneCells / wanted.length);
            },
          },
        );
        if (outcome.ok || outcome.issues[0]?.code === 'cancelled' || ++deaths > 1) return outcome;
      }
    };
    const shares = await Promise.all(
      // Every so many-th place, so that all workers paint over the whole of the map.
      workers.map((worker, at) =>
        share(
          worker,
          wanted.filter((_, index) => index % size === at),
        ),
      ),
    );
    return shares.find((outcome) => !outcome.ok) ?? success(null);
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
        { seconds, settleS, stepS }: Omit<MapPass, 'count'>,
        count: number,
        cells: (Cell | null)[],
        places: readonly number[],
      ): Promise<Outcome<ZoneMap>> => {
        const picture = (): ZoneMap => ({ count, x: wanted.x, y: wanted.y, cells: [...cells] });
        if (places.length === 0) return success(picture());
        const shown = last;
        const mine = turn.then(() =>
          signal?.aborted
            ? failure(cancelledIssue)
            : pass({ ...wanted, seconds, settleS, stepS }, count, cells, places, signal, (done) =>
                // A finer picture is shown once it says more than the coarse one.
                onPicture?.(shown ?? picture(), done),
              ),
        );
        turn = mine;
        const ended = await mine;
        return ended.ok ? success(picture()) : ended;
      };
      const draw = async (places: Promise<Outcome<ZoneMap>>) => {
        const drawn = await places;
        if (drawn.ok) {
          last = drawn.value;
          onPicture?.(last, 1);
        }
        return drawn;
      };
      for (const one of passes) {
        const drawn = await draw(run(one, one.count, filledFrom(last, one.count), placesToRun(last, one.count)));
        if (!drawn.ok) return drawn;
      }
      const islands = last ? islandsOf(last) : [];
      if (last && islands.length > 0) {
        const drawn = await draw(run(islandPass, last.count, [...last.cells], islands));
        if (!drawn.ok) return drawn;
      }
      if (!last) return failure(cancelledIssue);
      finished.set(key, last);
      if (finished.size > kept) finished.delete(finished.keys().next().value ?? '');
      return success(last);
    },
    sweep(programs, how, { signal, onCells }) {
      const cells: (Cell | null)[] = programs.map(() => null);
      const mine = turn.then(() =>
        workers[0]
          ? workers[0].ask(
              { of: 'programs', how, programs },
              {
                signal,
                onPart: (done) => {
                  for (const { place, cell } of done) cells[place] = cell;
                  onCells([...cells]);
                },
              },
            )
          : failure(cancelledIssue),
      );
      return mine;
    },
    close() {
      for (const worker of workers) worker.close();
    },
  };
}

/** A core for each, one left for the page, two at least. */
const poolSize = Math.min(Math.max((globalThis.navigator?.hardwareConcurrency ?? 2) - 1, 2), 4);

/** The page's one pool. */
export const mapPool = createMapPool(
  () => new Worker(new URL('./cell.worker.ts', import.meta.url), { type: 'module' }),
  poolSize,
);
