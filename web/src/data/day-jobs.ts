/** The day's jobs as the page asks about them, and what was moved by hand on this device. */
import { dayJobs, type NamedJob } from '@fox-tempo/core/day/plan';
import { type Order, type SeamResource } from '@fox-tempo/contract';
import { useKeptForm } from '../ui/kept-text.ts';
import { shopDay } from '../lib/time.ts';

/** Jobs of today in the shop. */
export function jobsToday(orders: readonly Order[], seams: readonly SeamResource[]): NamedJob[] {
  return dayJobs(orders, seams, shopDay());
}

export interface MovedByHand {
  /** Jobs held at the front, machine by machine. */
  readonly fixed: Readonly<Record<string, readonly string[]>>;
  /** Machines out of the plan. */
  readonly away: readonly string[];
}

export function useMovedByHand() {
  return useKeptForm<MovedByHand>('run-plan', { fixed: {}, away: [] });
}
