/** The page's side of a driven arc. Steps that the worker has not answered yet are not piled up: time it is behind is handed over with the next. */
import type { DriveCommand, DrivenSlice, SimulationInput } from '@fox-tempo/core';
import type { FromDrive, ToDrive } from './drive-protocol.ts';

export interface DriveWorkerLike {
  postMessage(message: ToDrive): void;
  terminate(): void;
  onmessage: ((event: MessageEvent<FromDrive>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

export interface DriveClient {
  /** Starts with a cold wire; a running arc is given up. */
  begin(input: SimulationInput, traceEveryS: number): void;
  /** False when there is no arc to drive. */
  step(seconds: number, command: DriveCommand): boolean;
  close(): void;
}

export interface DriveHeard {
  onSlice(slice: DrivenSlice): void;
  /** There is no arc: refused, or the worker died. */
  onLost(message: string): void;
}

/** Steps on their way at once; one would leave the worker idle between two frames. */
const mostAhead = 2;
/** Time handed over in one step at most, s: what is older is dropped. */
const longestStepS = 0.25;

export function createDriveClient(makeWorker: () => DriveWorkerLike, heard: DriveHeard): DriveClient {
  let worker: DriveWorkerLike | null = null;
  let id = 0;
  let ahead = 0;
  let owedS = 0;
  let isLost = true;

  function lose(message: string): void {
    isLost = true;
    worker?.terminate();
    worker = null;
    heard.onLost(message);
  }

  function living(): DriveWorkerLike {
    if (worker) return worker;
    const made = makeWorker();
    made.onmessage = ({ data }) => {
      if (data.id !== id) return;
      if (data.kind === 'refused') lose(data.issues.map(({ message }) => message).join(' '));
      else if (data.kind === 'slice') {
        ahead = Math.max(ahead - 1, 0);
        heard.onSlice(data.slice);
      }
    };
    made.onerror = (event) => lose(`The simulated arc stopped: ${event.message}.`);
    worker = made;
    return made;
  }

  return {
    begin(input, traceEveryS) {
      id++;
      ahead = 0;
      owedS = 0;
      isLost = false;
      living().postMessage({ kind: 'begin', id, input, traceEveryS });
    },
    step(seconds, command) {
      if (isLost || !worker) return false;
      owedS = Math.min(owedS + seconds, longestStepS);
      if (ahead >= mostAhead) return true;
      worker.postMessage({ kind: 'step', id, seconds: owedS, command });
      ahead++;
      owedS = 0;
      return true;
    },
    close() {
      worker?.terminate();
      worker = null;
      isLost = true;
    },
  };
}
