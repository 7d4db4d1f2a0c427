/** The page's side of a driven arc. Steps that the worker has not answered yet are not piled up: time it is behind is handed over with the next. */
import { saidIssues, t } from '../lib/words.ts';
import type { DriveCommand, DrivenSlice, SimulationInput } from '@fox-tempo/core/weld/simulation';
import type { DriveWork } from './protocol.ts';
import { supervise, type Talk, type WorkerLike } from './supervised.ts';

export interface DriveClient {
  /** Starts with a cold wire; a running arc is given up. */
  begin(input: SimulationInput, traceEveryS: number): void;
  /** False when there is no arc to drive. */
  step(seconds: number, command: DriveCommand): boolean;
  close(): void;
}

export interface DriveHeard {
  onSlice(slice: DrivenSlice): void;
  /** There is no arc: refused, thrown, hanging, or the worker died. */
  onLost(message: string): void;
}

/** Steps on their way at once; one would leave the worker idle between two frames. */
const mostAhead = 2;
/** Time handed over in one step at most, s: what is older is dropped. */
const longestStepS = 0.25;
/** A slice takes milliseconds: after this long without one the worker hangs, ms. */
const longestSilenceMs = 4000;

export function createDriveClient(
  heard: DriveHeard,
  makeWorker: () => WorkerLike<DriveWork> = () =>
    new Worker(new URL('./drive.worker.ts', import.meta.url), { type: 'module' }),
): DriveClient {
  const arcs = supervise<DriveWork>(t('view.workers.the-simulated-arc'), makeWorker, longestSilenceMs);
  let talk: Talk<DriveWork> | null = null;
  let ahead = 0;
  let owedS = 0;

  return {
    begin(input, traceEveryS) {
      talk?.end();
      ahead = 0;
      owedS = 0;
      talk = arcs.talk(
        { input, traceEveryS },
        {
          onPart(slice) {
            ahead = Math.max(ahead - 1, 0);
            heard.onSlice(slice);
          },
          onLost(issues) {
            talk = null;
            heard.onLost(saidIssues(issues));
          },
        },
      );
    },
    step(seconds, command) {
      if (!talk) return false;
      owedS = Math.min(owedS + seconds, longestStepS);
      if (ahead >= mostAhead) return true;
      talk.tell({ seconds: owedS, command });
      ahead++;
      owedS = 0;
      return true;
    },
    close() {
      talk?.end();
      talk = null;
      arcs.close();
    },
  };
}
