/** What a solver from elsewhere adds to a schedule that was not proven: a bound, now and then a better order, sometimes the proof. */
import { mixedInteger, orderOfSolution } from './mixed-integer.ts';
import { costsOf, problemOf, type Costs, type Order, type Problem, type ScheduleInput } from './problem.ts';

/** How a solver left the program. */
export interface Solved {
  /** No solution costs less; left out or not finite: it had none yet. */
  readonly bound: number;
  /** Values by column of the best it found; null: none. */
  readonly columns: Readonly<Record<string, number>> | null;
}

export interface Proof {
  readonly bound: number;
  readonly provenBest: boolean;
  /** Machine by machine, where it found one that costs less than the one known. */
  readonly better: (Costs & { readonly order: Readonly<Record<string, readonly string[]>> }) | null;
}

/** Costs closer than this are the same, minutes. */
const sameMinutes = 1e-6;

/** The program in LP format that a solver is given. */
export function programOf(input: ScheduleInput): string {
  return mixedInteger(problemOf(input));
}

export function proofBy(input: ScheduleInput, known: Costs & { readonly bound: number }, solved: Solved): Proof {
  const problem = problemOf(input);
  const order = solved.columns && orderOfSolution(problem, solved.columns);
  // A solution that was cut short may leave an operation out: it is then no order.
  const isWhole = order?.flat().length === problem.operations.length;
  const costs = order && isWhole ? costsOf(problem, order) : null;
  const better =
    order && costs && costs.cost < known.cost - sameMinutes ? { ...costs, order: named(problem, order) } : null;
  const cost = better?.cost ?? known.cost;
  const found = Number.isFinite(solved.bound) ? solved.bound : 0;
  const bound = Math.min(Math.max(known.bound, found), cost);
  return { bound, provenBest: bound >= cost - sameMinutes, better };
}

/** Machine to the names of its operations. */
export function named({ machines, operations }: Problem, order: Order): Record<string, string[]> {
  return Object.fromEntries(
    machines.map((machine, at) => [machine, (order[at] ?? []).flatMap((one) => operations[one]?.id ?? [])]),
  );
}
