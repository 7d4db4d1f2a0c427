/** Lines of one level through a map's figures, by marching squares between the middles of its cells. Coordinates run 0..1 on both axes. */

export type Segment = readonly [x1: number, y1: number, x2: number, y2: number];

/** `values` row by row from the lower end; places without a figure are NaN and leave a gap. */
export function contour(values: readonly number[], count: number, level: number): Segment[] {
  const at = (column: number, row: number) => values[row * count + column] ?? Number.NaN;
  const segments: Segment[] = [];
  for (let row = 0; row < count - 1; row++) {
    for (let column = 0; column < count - 1; column++) {
      const corners = [at(column, row), at(column + 1, row), at(column + 1, row + 1), at(column, row + 1)] as const;
      if (corners.some((value) => !Number.isFinite(value))) continue;
      const places = [
        [column, row],
        [column + 1, row],
        [column + 1, row + 1],
        [column, row + 1],
      ] as const;
      const crossings: [number, number][] = [];
      for (let side = 0; side < 4; side++) {
        const [from, to] = [corners[side] ?? 0, corners[(side + 1) % 4] ?? 0];
        if (from < level === to < level) continue;
        const share = (level - from) / (to - from);
        const [a, b] = [places[side] ?? places[0], places[(side + 1) % 4] ?? places[0]];
        crossings.push([a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]);
      }
      for (let pair = 0; pair + 1 < crossings.length; pair += 2) {
        const [from, to] = [crossings[pair], crossings[pair + 1]];
        if (from && to) {
          segments.push([
            (from[0] + 0.5) / count,
            (from[1] + 0.5) / count,
            (to[0] + 0.5) / count,
            (to[1] + 0.5) / count,
          ]);
        }
      }
    }
  }
  return segments;
}
