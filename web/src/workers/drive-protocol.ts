/** Between the page and the arc that its trigger drives. */
import type { DriveCommand, DrivenSlice, Issue, SimulationInput } from '@fox-tempo/core';

export type ToDrive =
  | { readonly kind: 'begin'; readonly id: number; readonly input: SimulationInput; readonly traceEveryS: number }
  | { readonly kind: 'step'; readonly id: number; readonly seconds: number; readonly command: DriveCommand };

export type FromDrive =
  | { readonly kind: 'ready'; readonly id: number }
  | { readonly kind: 'refused'; readonly id: number; readonly issues: readonly Issue[] }
  | { readonly kind: 'slice'; readonly id: number; readonly slice: DrivenSlice };
