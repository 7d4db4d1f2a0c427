import { annealed, same } from './anneal.ts';
import { treeBound } from './arborescence.ts';
import { enumerated } from './enumerate.ts';
import { named } from './proof.ts';
import { costsOf, problemOf, type Costs, type ScheduleInput } from './problem.ts';

export { mixedInteger } from './mixed-integer.ts';
export { programOf, proofBy, type Proof, type Solved } from './proof.ts';
export {
  costsOf,
  lateWeight,
  problemOf,
  type Costs,
  type Operation,
  type Order,
  type ScheduleInput,
} from './problem.ts';

export interface Schedule extends Costs {
  readonly order: Readonly<Record<string, readonly string[]>>;
  /** No order costs less than this; the cost itself where it is proven. */
  readonly bound: number;
  readonly provenBest: boolean;
}

export function schedule(input: ScheduleInput, seed = 1): Schedule {
  const problem = problemOf(input);
  const tree = treeBound(problem);
  const good = annealed(problem, seed, tree);
  const { cost } = costsOf(problem, good);
  const exact =
    cost <= tree + same ? { order: good, cost, isProven: true, bound: tree } : enumerated(problem, good, cost);
  const order = exact.cost < cost ? exact.order : good;
  const costs = costsOf(problem, order);
  const bound = Math.min(Math.max(exact.bound, tree), costs.cost);
  return {
    order: named(problem, order),
    ...costs,
    bound,
    provenBest: exact.isProven || bound >= costs.cost - same,
  };
}
