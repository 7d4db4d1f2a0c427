/** Open orders as jobs of the day: every seam of each, with the minutes stored beside its setting. Page and server make them alike. */
import { usualShifts, type NextJob } from '@fox-tempo/core/day-plan';
import type { Order, SeamResource } from './shop.ts';

export interface NamedJob extends NextJob {
  readonly seamId: string;
  readonly name: string;
  readonly order: string;
  readonly dueOn: string;
}

/** `today` and due days are the shop's, as 2026-11-26. What is due on a day is due at the end of its shift; what was due before is late from now on. */
export function dayJobs(orders: readonly Order[], seams: readonly SeamResource[], today: string): NamedJob[] {
  return orders
    .filter((order) => !order.closed && order.done < order.quantity)
    .flatMap((order) =>
      seams
        .filter((seam) => seam.partId === order.partId)
        .flatMap(({ id, spec, revision }): NamedJob[] =>
          revision?.use
            ? [
                {
                  id: `${order.id}/${id}`,
                  seamId: id,
                  name: spec.name,
                  order: order.number,
                  dueOn: order.dueOn,
                  program: revision.program,
                  arcMinutes: revision.use.arcSeconds / 60,
                  takes: revision.use,
                  quantity: order.quantity - order.done,
                  dueMinute: Math.max(daysBetween(today, order.dueOn) + 1, 0) * usualShifts.minutes,
                },
              ]
            : [],
        ),
    );
}

/** What the core is asked about: jobs without the names people know them by. */
export function bareJobs(jobs: readonly NamedJob[]): NextJob[] {
  return jobs.map(({ seamId: _seam, name: _name, order: _order, dueOn: _due, ...job }) => job);
}

/** Whole days from one ISO day to another; negative when it lies before. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}
