/** Every order of few operations, cut short where it cannot become better than the best: its answer is proven. */
import { lateWeight, machineCosts, type Order, type Problem } from './problem.ts';

export interface Enumerated {
  readonly order: Order;
  readonly cost: number;
  /** False when it was given up; then `bound` is only a bound. */
  readonly isProven: boolean;
  /** No order costs less. */
  readonly bound: number;
}

/** Nodes looked at before it is given up: some three tenths of a second at twelve operations. */
const mostNodes = 250_000;

export function enumerated(problem: Problem, start: Order, startCost: number): Enumerated {
  const { operations, minutes, due, setup, allowed, fixed } = problem;
  const machines = problem.machines.length;
  const order: number[][] = fixed.map((list) => [...list]);
  const clocks = order.map((list, machine) => ended(problem, machine, list));
  const lasts = order.map((list) => list.at(-1) ?? operations.length);
  const isUsed = operations.map((_, at) => fixed.some((list) => list.includes(at)));
  const free = operations.map((_, at) => at).filter((at) => isUsed[at] !== true);
  /** Cheapest change that can come before each operation. */
  const least = operations.map((_, to) =>
    Math.min(
      ...(allowed[to] ?? []).flatMap((machine) =>
        (setup[machine] ?? []).flatMap((row, from) => (from === to ? [] : [row[to] ?? 0])),
      ),
    ),
  );
  let bestCost = startCost;
  let best: Order = start;
  let nodes = 0;
  let isCut = false;
  const fixedCost = order.reduce((sum, list, machine) => sum + machineCosts(problem, machine, list).cost, 0);
  const rootBound = fixedCost + free.reduce((sum, at) => sum + bound(at), 0);

  /** What this one costs at the least, wherever it goes. */
  function bound(operation: number): number {
    return least[operation] === Number.POSITIVE_INFINITY ? 0 : (least[operation] ?? 0);
  }

  /** What those left cost at the least from here: their change, and being late even if each came next. */
  function rest(): number {
    let sum = 0;
    for (const operation of free) {
      if (isUsed[operation]) continue;
      let soonest = Number.POSITIVE_INFINITY;
      for (const machine of allowed[operation] ?? []) soonest = Math.min(soonest, clocks[machine] ?? 0);
      const change = bound(operation);
      const late = soonest + change + (minutes[operation] ?? 0) - (due[operation] ?? Number.POSITIVE_INFINITY);
      sum += change + lateWeight * Math.max(late, 0);
    }
    return sum;
  }

  /** Machines are filled one after the other, so that no order is met twice. */
  function go(machine: number, cost: number, left: number): void {
    if (isCut) return;
    if (++nodes > mostNodes) {
      isCut = true;
      return;
    }
    if (left === 0) {
      if (cost < bestCost - 1e-9) {
        bestCost = cost;
        best = order.map((list) => [...list]);
      }
      return;
    }
    if (machine >= machines || cost + rest() >= bestCost - 1e-9) return;
    for (const operation of free) {
      if (isUsed[operation] || !(allowed[operation] ?? []).includes(machine)) continue;
      const last = lasts[machine] ?? operations.length;
      const clock = clocks[machine] ?? 0;
      const change = setup[machine]?.[last]?.[operation] ?? 0;
      const end = clock + change + (minutes[operation] ?? 0);
      const late = Math.max(end - (due[operation] ?? Number.POSITIVE_INFINITY), 0);
      isUsed[operation] = true;
      order[machine]?.push(operation);
      lasts[machine] = operation;
      clocks[machine] = end;
      go(machine, cost + change + lateWeight * late, left - 1);
      order[machine]?.pop();
      lasts[machine] = last;
      clocks[machine] = clock;
      isUsed[operation] = false;
    }
    // The machine takes no more; what only it could do is then left, and this is no order.
    const own = clocks[machine] ?? 0;
    clocks[machine] = Number.POSITIVE_INFINITY;
    const strands = free.some((at) => !isUsed[at] && (allowed[at] ?? []).every((one) => one <= machine));
    if (!strands) go(machine + 1, cost, left);
    clocks[machine] = own;
  }

  go(0, fixedCost, free.length);
  return { order: best, cost: bestCost, isProven: !isCut, bound: isCut ? rootBound : bestCost };
}

function ended({ setup, minutes, operations }: Problem, machine: number, list: readonly number[]): number {
  let last = operations.length;
  let clock = 0;
  for (const next of list) {
    clock += (setup[machine]?.[last]?.[next] ?? 0) + (minutes[next] ?? 0);
    last = next;
  }
  return clock;
}
