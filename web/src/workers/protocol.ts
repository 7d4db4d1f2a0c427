/** What page and workers say to each other: one tagged union each way, with the id of the question; and what each worker can be asked. */
import type { Program } from '@fox-tempo/core/setting/program';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { DriveCommand, DrivenSlice, Simulation, SimulationInput } from '@fox-tempo/core/weld/simulation';
import type { Costs, Proof, ScheduleInput } from '@fox-tempo/core/day/schedule';
import type { PowerTrace } from '@fox-tempo/core/weld/sound';
import type { Cell, CellRun, MapRequest } from '@fox-tempo/core/weld/zone-map';
import type { SumQuestions } from './sums.ts';

/** A sort of work: what is asked, what comes while it lasts, what may be said in between, what is answered. */
export interface Work {
  readonly ask: unknown;
  readonly part: unknown;
  readonly tell: unknown;
  readonly answer: unknown;
}

export type ToWorker<W extends Work> =
  | { readonly kind: 'ask'; readonly id: number; readonly ask: W['ask'] }
  | { readonly kind: 'tell'; readonly id: number; readonly tell: W['tell'] }
  | { readonly kind: 'cancel'; readonly id: number };

export type FromWorker<W extends Work> =
  | { readonly kind: 'part'; readonly id: number; readonly part: W['part'] }
  | { readonly kind: 'done'; readonly id: number; readonly answer: W['answer'] }
  | { readonly kind: 'refused'; readonly id: number; readonly issues: readonly Issue[] }
  /** It threw; the worker itself lives on. */
  | { readonly kind: 'failed'; readonly id: number; readonly message: string };

/** A simulated arc; parts are the share done. */
export interface ArcWork extends Work {
  readonly ask: { readonly input: SimulationInput; readonly traceEveryS: number };
  readonly part: number;
  readonly tell: never;
  readonly answer: Simulation;
}

/** An arc that is driven while it burns: told seconds and a command, parts are its slices. It has no answer, it is ended. */
export interface DriveWork extends Work {
  readonly ask: { readonly input: SimulationInput; readonly traceEveryS: number };
  readonly part: DrivenSlice;
  readonly tell: { readonly seconds: number; readonly command: DriveCommand };
  readonly answer: null;
}

/** Places of a map, or programs by themselves; parts are what is done. */
export interface CellWork extends Work {
  readonly ask:
    | {
        readonly of: 'map';
        readonly request: MapRequest;
        readonly count: number;
        /** Row × count + column, in the order wanted. */
        readonly places: readonly number[];
      }
    | { readonly of: 'programs'; readonly how: CellRun; readonly programs: readonly (Program | null)[] };
  readonly part: readonly { readonly place: number; readonly cell: Cell }[];
  readonly tell: never;
  readonly answer: null;
}

/** Sums that would hold the page up. */
export interface SumWork extends Work {
  readonly ask: {
    [K in keyof SumQuestions]: { readonly of: K; readonly with: SumQuestions[K]['ask'] };
  }[keyof SumQuestions];
  readonly part: never;
  readonly tell: never;
  readonly answer: unknown;
}

/** A schedule to be proven, beside the one that is known. */
export interface ProofWork extends Work {
  readonly ask: { readonly input: ScheduleInput; readonly known: Costs & { readonly bound: number } };
  readonly part: never;
  readonly tell: never;
  readonly answer: Proof;
}

/** An arc made audible. */
export interface SoundWork extends Work {
  readonly ask: { readonly trace: PowerTrace; readonly rateHz: number };
  readonly part: never;
  readonly tell: never;
  readonly answer: Float32Array<ArrayBuffer>;
}
