/** What page and map workers say to each other: tagged unions with a request id. */
import type { Cell, MapRequest } from '@fox-tempo/core';

export type ToMapWorker =
  | {
      readonly kind: 'cells';
      readonly id: number;
      readonly request: MapRequest;
      readonly count: number;
      /** Row × count + column, in the order wanted. */
      readonly places: readonly number[];
    }
  | { readonly kind: 'cancel'; readonly id: number };

export type FromMapWorker =
  | {
      readonly kind: 'cells';
      readonly id: number;
      readonly done: readonly { readonly place: number; readonly cell: Cell }[];
    }
  | { readonly kind: 'finished'; readonly id: number };
