/** Open orders as jobs of the day: every seam of each, with the minutes stored beside its setting; and what was moved by hand. */
import type { Order, SeamResource } from '@fox-tempo/contract';
import type { NextJob } from '@fox-tempo/core/day-plan';
import { useKeptForm } from '../ui/kept-text.ts';
import { daysUntil } from './time.ts';

export interface NamedJob extends NextJob {
  readonly seamId: string;
  readonly name: string;
  readonly order: string;
}

/** A shift of eight hours; what is due on a day is due at the end of its shift. */
const shiftMinutes = 480;

export function dayJobs(orders: readonly Order[], seams: readonly SeamResource[]): NamedJob[] {
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
                  program: revision.program,
                  arcMinutes: revision.use.arcSeconds / 60,
                  starts: revision.use.passes,
                  quantity: order.quantity - order.done,
                  dueMinute: (Math.max(daysUntil(order.dueOn), 0) + 1) * shiftMinutes,
                },
              ]
            : [],
        ),
    );
}

/** What the core is asked about: jobs without the names people know them by. */
export function bareJobs(jobs: readonly NamedJob[]): NextJob[] {
  return jobs.map(({ seamId: _seam, name: _name, order: _order, ...job }) => job);
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
