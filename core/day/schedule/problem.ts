/** Operations on machines: which goes where and in which order, at the least set-up minutes and twice the minutes late. */
import { own } from '../../base/record/index.ts';

export interface Operation {
  readonly id: string;
  readonly minutes: number;
  /** Minutes from now; left out: never late. */
  readonly dueMinute?: number | undefined;
  /** Machines that can do it. */
  readonly machines: readonly string[];
}

export interface ScheduleInput {
  readonly operations: readonly Operation[];
  /** From the operation before it (or "start") to this one, minutes; what is left out takes none. */
  readonly setupMinutes: Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, number>>>>>>;
  /** Operations that stand first on a machine, in this order, whatever they cost. */
  readonly fixed?: Readonly<Record<string, readonly string[]>> | undefined;
}

/** Machine to its operations in order, by their place in the list. */
export type Order = readonly (readonly number[])[];

export interface Costs {
  readonly setupMinutes: number;
  readonly lateMinutes: number;
  readonly cost: number;
}

/** A minute late costs as much as two of set-up. Source: the design's rule. */
export const lateWeight = 2;

/** The problem with its names taken away: what the search runs on. */
export interface Problem {
  readonly machines: readonly string[];
  readonly operations: readonly Operation[];
  readonly minutes: readonly number[];
  readonly due: readonly number[];
  /** Machines by number that can do each. */
  readonly allowed: readonly (readonly number[])[];
  /** [machine][from; last row is the start][to]. */
  readonly setup: readonly (readonly (readonly number[])[])[];
  /** Operations that stand fixed at the head of each machine. */
  readonly fixed: readonly (readonly number[])[];
}

export function problemOf({ operations, setupMinutes, fixed = {} }: ScheduleInput): Problem {
  const machines = [...new Set(operations.flatMap((one) => one.machines))].sort();
  const numberOf = new Map(operations.map(({ id }, at) => [id, at]));
  return {
    machines,
    operations,
    minutes: operations.map(({ minutes }) => minutes),
    due: operations.map(({ dueMinute }) => dueMinute ?? Number.POSITIVE_INFINITY),
    allowed: operations.map((one) => one.machines.map((name) => machines.indexOf(name))),
    setup: machines.map((machine) => {
      const table = own(setupMinutes, machine);
      return [...operations.map(({ id }) => id), 'start'].map((from) =>
        operations.map(({ id: to }) => own(own(table, from), to) ?? 0),
      );
    }),
    fixed: machines.map((machine) => (own(fixed, machine) ?? []).flatMap((id) => numberOf.get(id) ?? [])),
  };
}

export function costsOf(problem: Problem, order: Order): Costs {
  let setupMinutes = 0;
  let lateMinutes = 0;
  order.forEach((list, machine) => {
    const costs = machineCosts(problem, machine, list);
    setupMinutes += costs.setupMinutes;
    lateMinutes += costs.lateMinutes;
  });
  return { setupMinutes, lateMinutes, cost: setupMinutes + lateWeight * lateMinutes };
}

export function machineCosts({ setup, minutes, due, operations }: Problem, machine: number, list: readonly number[]) {
  const table = setup[machine] ?? [];
  let at = operations.length;
  let clock = 0;
  let setupMinutes = 0;
  let lateMinutes = 0;
  for (const next of list) {
    const change = table[at]?.[next] ?? 0;
    setupMinutes += change;
    clock += change + (minutes[next] ?? 0);
    lateMinutes += Math.max(clock - (due[next] ?? Number.POSITIVE_INFINITY), 0);
    at = next;
  }
  return { setupMinutes, lateMinutes, cost: setupMinutes + lateWeight * lateMinutes };
}
