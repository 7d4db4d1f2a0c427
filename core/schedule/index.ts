import { annealed } from './anneal.ts';
import { enumerated } from './enumerate.ts';
import { costsOf, problemOf, type Costs, type ScheduleInput } from './problem.ts';

export { mixedInteger } from './mixed-integer.ts';
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
  const good = annealed(problem, seed);
  const { cost } = costsOf(problem, good);
  const exact = enumerated(problem, good, cost);
  const order = exact.cost < cost ? exact.order : good;
  return {
    order: Object.fromEntries(
      problem.machines.map((machine, at) => [
        machine,
        (order[at] ?? []).flatMap((one) => problem.operations[one]?.id ?? []),
      ]),
    ),
    ...costsOf(problem, order),
    bound: exact.bound,
    provenBest: exact.isProven,
  };
}
