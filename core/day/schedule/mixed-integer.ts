/**
 * The schedule as a mixed-integer program in LP format, for a solver that proves: x says which operation follows which on a machine, C when each is done,
 * T how late. A check from elsewhere on the search, and the bound where it is too large to be enumerated.
 */
import { lateWeight, type Order, type Problem } from './problem.ts';

/** Source: the usual program of sequence-dependent changeovers with times carried along the arcs (Miller, Tucker and Zemlin). */
export function mixedInteger({ machines, operations, minutes, due, allowed, setup, fixed }: Problem): string {
  const count = operations.length;
  const start = count;
  const on = machines.map((_, machine) =>
    operations.flatMap((_one, at) => (allowed[at]?.includes(machine) ? [at] : [])),
  );
  const horizon =
    minutes.reduce((sum, value) => sum + value, 0) + count * Math.max(0, ...setup.flat(2).filter(Number.isFinite));
  const setupOf = (machine: number, from: number, to: number) => setup[machine]?.[from]?.[to] ?? 0;
  const arcs = on.flatMap((own, machine) =>
    own.flatMap((to) =>
      [...own, start]
        .filter((from) => from !== to)
        .map((from) => ({ machine, from, to, name: arcName(machine, from, to) })),
    ),
  );
  const isDue = (at: number) => Number.isFinite(due[at] ?? Number.POSITIVE_INFINITY);
  const lines: string[] = [];
  for (let at = 0; at < count; at++) {
    const into = arcs.filter(({ to }) => to === at);
    lines.push(`once${at}: ${into.map(({ name }) => name).join(' + ')} = 1`);
    if (isDue(at)) lines.push(`late${at}: T${at} - C${at} >= ${-(due[at] ?? 0)}`);
  }
  for (const [machine, own] of on.entries()) {
    const first = arcs.filter((arc) => arc.machine === machine && arc.from === start);
    if (first.length > 0) lines.push(`head${machine}: ${first.map(({ name }) => name).join(' + ')} <= 1`);
    for (const at of own) {
      // What follows an operation stands on the machine that the operation is on.
      const out = arcs.filter((arc) => arc.machine === machine && arc.from === at).map(({ name }) => name);
      const into = arcs.filter((arc) => arc.machine === machine && arc.to === at).map(({ name }) => name);
      if (out.length > 0) lines.push(`flow${machine}_${at}: ${out.join(' + ')} - ${into.join(' - ')} <= 0`);
    }
  }
  // What a hand put first stands first, in its order.
  for (const [machine, list] of fixed.entries())
    list.forEach((to, at) => lines.push(`held${machine}_${to}: ${arcName(machine, list[at - 1] ?? start, to)} = 1`));
  for (const { machine, from, to, name } of arcs) {
    const takes = setupOf(machine, from, to) + (minutes[to] ?? 0);
    lines.push(
      from === start
        ? `time_${name}: C${to} - ${takes} ${name} >= 0`
        : `time_${name}: C${to} - C${from} - ${horizon + takes} ${name} >= ${-horizon}`,
    );
  }
  const cost = [
    ...arcs.flatMap(({ machine, from, to, name }) => {
      const value = setupOf(machine, from, to);
      return value === 0 ? [] : [`${value} ${name}`];
    }),
    ...operations.flatMap((_, at) => (isDue(at) ? [`${lateWeight} T${at}`] : [])),
  ];
  return [
    'Minimize',
    ` obj: ${cost.length > 0 ? cost.join(' + ') : '0 C0'}`,
    'Subject To',
    ...lines.map((line) => ` ${line}`),
    'Binary',
    ...arcs.map(({ name }) => ` ${name}`),
    'End',
    '',
  ].join('\n');
}

function arcName(machine: number, from: number, to: number): string {
  return `x${machine}_${from}_${to}`;
}

/** The order that a solution of the program stands for. `columns`: its values by name. */
export function orderOfSolution({ machines, operations }: Problem, columns: Readonly<Record<string, number>>): Order {
  const start = operations.length;
  return machines.map((_, machine) => {
    const next = new Map<number, number>();
    for (const [name, value] of Object.entries(columns)) {
      const [, on, from, to] = /^x(\d+)_(\d+)_(\d+)$/.exec(name) ?? [];
      if (Number(on) === machine && value > 0.5) next.set(Number(from), Number(to));
    }
    const order: number[] = [];
    for (let at = next.get(start); at !== undefined && order.length < start; at = next.get(at)) order.push(at);
    return order;
  });
}
