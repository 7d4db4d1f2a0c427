/**
 * A bound that holds for any number of operations: every operation comes after one other or a machine's start, so that the changeovers of a plan are a tree
 * from the starts. The cheapest such tree costs no more than any plan. Source: Chu and Liu; Edmonds, on the complete net.
 */
import { lateWeight, type Problem } from './problem.ts';

interface Arc {
  from: number;
  to: number;
  cost: number;
}

/** Least cost of any order: its changeovers as a tree, and being late even where each operation came first of all. */
export function treeBound({ operations, machines, setup, minutes, due, allowed, fixed }: Problem): number {
  const count = operations.length;
  const root = count;
  /** What a hand put first has its one way in. */
  const before = new Map<number, { readonly machine: number; readonly from: number }>();
  for (const [machine, list] of fixed.entries())
    list.forEach((to, at) => before.set(to, { machine, from: list[at - 1] ?? root }));
  const arcs: Arc[] = [];
  for (let to = 0; to < count; to++) {
    const held = before.get(to);
    for (const machine of held ? [held.machine] : (allowed[to] ?? [])) {
      const rows = setup[machine] ?? [];
      for (let from = 0; from <= count; from++) {
        if (from === to || (held && held.from !== from)) continue;
        // Only what the machine can do itself, and its start, come before anything on it.
        if (from !== root && !(allowed[from] ?? []).includes(machine)) continue;
        const change = rows[from]?.[to] ?? 0;
        const end = change + (minutes[to] ?? 0) + (from === root ? 0 : (minutes[from] ?? 0));
        arcs.push({ from, to, cost: change + lateWeight * Math.max(end - (due[to] ?? Number.POSITIVE_INFINITY), 0) });
      }
    }
  }
  return machines.length === 0 ? 0 : cheapestTree(count + 1, root, arcs);
}

function cheapestTree(nodes: number, rootNode: number, arcs: Arc[]): number {
  let [count, root, total] = [nodes, rootNode, 0];
  for (;;) {
    const least = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
    const before = new Int32Array(count).fill(-1);
    for (const { from, to, cost } of arcs)
      if (from !== to && cost < (least[to] ?? 0)) {
        least[to] = cost;
        before[to] = from;
      }
    least[root] = 0;
    const ring = new Int32Array(count).fill(-1);
    const seen = new Int32Array(count).fill(-1);
    let rings = 0;
    for (let node = 0; node < count; node++) {
      total += least[node] ?? 0;
      let at = node;
      while (seen[at] !== node && ring[at] === -1 && at !== root) {
        seen[at] = node;
        at = before[at] ?? root;
        if (at < 0) return Number.POSITIVE_INFINITY;
      }
      if (at === root || ring[at] !== -1) continue;
      for (let one = before[at] ?? at; one !== at; one = before[one] ?? at) ring[one] = rings;
      ring[at] = rings++;
    }
    if (rings === 0) return total;
    for (let node = 0; node < count; node++) if (ring[node] === -1) ring[node] = rings++;
    // Each ring becomes one node; what enters it replaces the way in that was counted already.
    for (const arc of arcs) {
      const entered = least[arc.to] ?? 0;
      arc.from = ring[arc.from] ?? 0;
      arc.to = ring[arc.to] ?? 0;
      if (arc.from !== arc.to) arc.cost -= entered;
    }
    count = rings;
    root = ring[root] ?? 0;
  }
}
