/**
 * Finite volumes on any net of cells: heat flows between neighbours, is lost to the air and comes from sources; forward steps well inside their limit.
 * Uniform through the thickness of a wall. Boxes and frames are nets of this kind.
 */

export interface Link {
  readonly a: number;
  readonly b: number;
  /** W/K. */
  readonly conductance: number;
}

export interface Net {
  /** J/K of each cell. */
  readonly capacity: Float64Array;
  /** W/K of each cell to the air. */
  readonly loss: Float64Array;
  /** First neighbour of each cell, one more than there are cells. */
  readonly first: Int32Array;
  readonly neighbour: Int32Array;
  /** 1/s: conductance over the cell's capacity. */
  readonly pull: Float64Array;
  /** 1/s: all that leaves a cell, by its neighbours and its faces. */
  readonly leaves: Float64Array;
  /** Longest step, s. */
  readonly stepS: number;
}

/** Share of the stability limit that is stepped. */
const careful = 0.8;

export function netOf(capacity: Float64Array, loss: Float64Array, links: readonly Link[]): Net {
  const count = capacity.length;
  const first = new Int32Array(count + 1);
  for (const { a, b } of links) {
    first[a + 1] = (first[a + 1] ?? 0) + 1;
    first[b + 1] = (first[b + 1] ?? 0) + 1;
  }
  for (let cell = 0; cell < count; cell++) first[cell + 1] = (first[cell + 1] ?? 0) + (first[cell] ?? 0);
  const neighbour = new Int32Array(2 * links.length);
  const pull = new Float64Array(2 * links.length);
  const leaves = Float64Array.from(loss, (watts, cell) => watts / (capacity[cell] ?? 1));
  const filled = first.slice();
  const join = (from: number, to: number, conductance: number) => {
    const at = filled[from] ?? 0;
    filled[from] = at + 1;
    neighbour[at] = to;
    const rate = conductance / (capacity[from] ?? 1);
    pull[at] = rate;
    leaves[from] = (leaves[from] ?? 0) + rate;
  };
  for (const { a, b, conductance } of links) {
    join(a, b, conductance);
    join(b, a, conductance);
  }
  return { capacity, loss, first, neighbour, pull, leaves, stepS: careful / Math.max(...leaves) };
}

/** Cells and their shares at a place, in pairs. */
export type Shares = readonly (readonly [cell: number, share: number])[];

/**
 * Rises after so many seconds. `heats(share)` says which cells are heated by how many watts at that share of the time.
 */
export function advanced(
  net: Net,
  rise: Float64Array,
  seconds: number,
  heats?: (atS: number) => readonly { readonly shares: Shares; readonly powerW: number }[],
): Float64Array {
  if (seconds <= 0) return rise;
  const { first, neighbour, pull, leaves, capacity, stepS } = net;
  const steps = Math.ceil(seconds / stepS);
  const step = seconds / steps;
  let now: Float64Array = rise;
  let next: Float64Array = new Float64Array(rise.length);
  for (let at = 0; at < steps; at++) {
    for (let cell = 0; cell < now.length; cell++) {
      let flow = -(leaves[cell] as number) * (now[cell] as number);
      const end = first[cell + 1] as number;
      for (let link = first[cell] as number; link < end; link++)
        flow += (pull[link] as number) * (now[neighbour[link] as number] as number);
      next[cell] = (now[cell] as number) + step * flow;
    }
    if (heats)
      for (const { shares, powerW } of heats((at + 0.5) * step))
        for (const [cell, share] of shares)
          next[cell] = (next[cell] ?? 0) + (share * powerW * step) / (capacity[cell] ?? 1);
    const spare = now === rise ? new Float64Array(rise.length) : now;
    now = next;
    next = spare;
  }
  return now;
}

export function valueAt(rise: Float64Array, shares: Shares): number {
  let sum = 0;
  for (const [cell, share] of shares) sum += (rise[cell] ?? 0) * share;
  return sum;
}
