/** What page and arc worker say to each other: tagged unions with a request id. */
import type { Issue, Simulation, SimulationInput } from '@fox-tempo/core';

export type ToWorker =
  | { readonly kind: 'simulate'; readonly id: number; readonly input: SimulationInput; readonly traceEveryS: number }
  | { readonly kind: 'cancel'; readonly id: number };

export type FromWorker =
  | { readonly kind: 'progress'; readonly id: number; readonly share: number }
  | { readonly kind: 'done'; readonly id: number; readonly result: Simulation }
  | { readonly kind: 'refused'; readonly id: number; readonly issues: readonly Issue[] }
  | { readonly kind: 'cancelled'; readonly id: number };
