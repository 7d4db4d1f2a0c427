/** A good order of many operations: each inserted where it costs least, then moved about while it cools. Seeded: the same question, the same answer. */
import { nextUniform, randomStream } from '../../base/numeric/random.ts';
import { machineCosts, type Order, type Problem } from './problem.ts';

const rounds = 60_000;
const restarts = 3;
/** Sums of minutes in another order differ in their last digits. */
export const same = 1e-9;

/** `bound`: what no order costs less than; one that costs no more ends the search. */
export function annealed(problem: Problem, seed = 1, bound = 0): Order {
  let best: Order = inserted(problem);
  let bestCost = total(problem, best);
  for (let restart = 0; restart < restarts && bestCost > bound + same; restart++) {
    const found = cooled(problem, best, seed + restart, bound);
    const cost = total(problem, found);
    if (cost < bestCost - 1e-9) [best, bestCost] = [found, cost];
  }
  return best;
}

/** The ones due first, each where it costs least. */
function inserted(problem: Problem): Order {
  const order = problem.fixed.map((list) => [...list]);
  const standing = new Set(problem.fixed.flat());
  const left = problem.operations
    .map((_, at) => at)
    .filter((at) => !standing.has(at))
    .sort((a, b) => (problem.due[a] ?? 0) - (problem.due[b] ?? 0) || a - b);
  for (const operation of left) {
    let best: { machine: number; at: number; cost: number } | undefined;
    for (const machine of problem.allowed[operation] ?? []) {
      const list = order[machine] ?? [];
      const before = machineCosts(problem, machine, list).cost;
      for (let at = problem.fixed[machine]?.length ?? 0; at <= list.length; at++) {
        const cost = machineCosts(problem, machine, [...list.slice(0, at), operation, ...list.slice(at)]).cost - before;
        if (!best || cost < best.cost - 1e-12) best = { machine, at, cost };
      }
    }
    if (best) order[best.machine]?.splice(best.at, 0, operation);
  }
  return order;
}

/** Moves one operation, or turns two about; worse is taken while it is warm. */
function cooled(problem: Problem, from: Order, seed: number, bound: number): Order {
  const random = randomStream(seed);
  const pick = (count: number) => Math.floor(nextUniform(random) * count);
  const order = from.map((list) => [...list]);
  const costs = order.map((list, machine) => machineCosts(problem, machine, list).cost);
  const movable = problem.operations.map((_, at) => at).filter((at) => !problem.fixed.flat().includes(at));
  if (movable.length === 0) return order;
  let cost = costs.reduce((sum, one) => sum + one, 0);
  let best = order.map((list) => [...list]);
  let bestCost = cost;
  const warm = Math.max(cost / Math.max(movable.length, 1), 5);
  for (let round = 0; round < rounds && bestCost > bound + same; round++) {
    const temperature = warm * 1e-3 ** (round / rounds);
    const operation = movable[pick(movable.length)] ?? 0;
    const machine = order.findIndex((list) => list.includes(operation));
    const list = order[machine] ?? [];
    const choices = problem.allowed[operation] ?? [];
    const to = choices[pick(choices.length)] ?? machine;
    const without = list.filter((one) => one !== operation);
    const target = to === machine ? without : (order[to] ?? []);
    const first = problem.fixed[to]?.length ?? 0;
    const at = first + pick(target.length - first + 1);
    const placed = [...target.slice(0, at), operation, ...target.slice(at)];
    const now =
      to === machine
        ? machineCosts(problem, to, placed).cost - (costs[to] ?? 0)
        : machineCosts(problem, to, placed).cost -
          (costs[to] ?? 0) +
          machineCosts(problem, machine, without).cost -
          (costs[machine] ?? 0);
    if (now > 0 && nextUniform(random) >= Math.exp(-now / temperature)) continue;
    order[machine] = without;
    order[to] = placed;
    costs[machine] = machineCosts(problem, machine, order[machine]).cost;
    costs[to] = machineCosts(problem, to, placed).cost;
    cost += now;
    if (cost < bestCost - 1e-9) {
      bestCost = cost;
      best = order.map((one) => [...one]);
    }
  }
  return best;
}

function total(problem: Problem, order: Order): number {
  return order.reduce((sum, list, machine) => sum + machineCosts(problem, machine, list).cost, 0);
}
