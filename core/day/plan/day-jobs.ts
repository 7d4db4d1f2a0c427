/** Open orders as jobs of the day: every seam of each, with the minutes stored beside its setting. Page and server make them alike. */
import type { PartTakes } from '../consumption/index.ts';
import type { Program } from '../../setting/program/index.ts';
import type { NextJob } from './next-on.ts';
import { daysBetween } from '../../base/calendar/index.ts';
import { usualShifts } from './work-clock.ts';
import { minutesOf } from '../../base/units/convert.ts';

/** An order: how many of a part, and by which day (ISO). */
export interface OrderedPart {
  readonly id: string;
  readonly number: string;
  readonly partId: string;
  readonly quantity: number;
  readonly done: number;
  readonly dueOn: string;
  readonly closed: boolean;
}

/** A seam of a part; null revision or use: no setting was saved. */
export interface SetSeam {
  readonly id: string;
  readonly partId: string;
  readonly spec: { readonly name: string };
  readonly revision: {
    readonly program: Program;
    readonly use: (PartTakes & { readonly arcSeconds: number }) | null;
  } | null;
}

export interface NamedJob extends NextJob {
  readonly seamId: string;
  readonly name: string;
  readonly order: string;
  readonly dueOn: string;
}

/** `today` and due days are the shop's, as 2026-11-26. What is due on a day is due at the end of its shift; what was due before is late from now on. */
export function dayJobs(orders: readonly OrderedPart[], seams: readonly SetSeam[], today: string): NamedJob[] {
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
                  arcMinutes: minutesOf(revision.use.arcSeconds),
                  takes: revision.use,
                  quantity: order.quantity - order.done,
                  dueMinute: Math.max(daysBetween(today, order.dueOn) + 1, 0) * usualShifts.minutes,
                },
              ]
            : [],
        ),
    );
}

/** What the plan is asked about: jobs without the names people know them by. */
export function bareJobs(jobs: readonly NamedJob[]): NextJob[] {
  return jobs.map(({ seamId: _seam, name: _name, order: _order, dueOn: _due, ...job }) => job);
}
