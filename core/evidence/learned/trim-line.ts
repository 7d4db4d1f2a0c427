/** Where good trim lies against feed on one line of one machine: a straight line that leans on what is usual until there are points. */

/** Feed at which the line's height is told, m/min. */
export const trimLineAt = 6;
/** Spread of height (mm) and slope (mm per m/min) before anything was seen, and of one point, mm (assumed). */
const before = { a: 0.5, b: 0.15, point: 0.4 } as const;
/** A point further off than so many of its spreads counts as less. Source: Huber 1964, the usual 1.345 for 95 % efficiency. */
const huber = 1.345;
const rounds = 20;

export interface TrimLine {
  /** Trim at 6 m/min, mm, and its rise, mm per m/min. */
  readonly a: number;
  readonly b: number;
  readonly sdA: number;
  readonly sdB: number;
  /** 0: what is usual alone speaks; 1: the points alone. */
  readonly weight: number;
}

/** Ridge regression with Huber weights over `[feed m/min, trim mm]`. */
export function trimLine(points: readonly (readonly [number, number])[]): TrimLine {
  const all = points.map(([feed, trim]) => ({ x: feed - trimLineAt, y: trim }));
  let line = solve(all.map((point) => ({ ...point, w: 1 })));
  for (let round = 0; round < rounds; round++) {
    const { a, b } = line;
    line = solve(
      all.map(({ x, y }) => {
        const off = Math.abs(y - a - b * x) / before.point;
        return { x, y, w: off <= huber ? 1 : huber / off };
      }),
    );
  }
  return line;
}

export function trimAt({ a, b }: Pick<TrimLine, 'a' | 'b'>, feedMPerMin: number): number {
  return a + b * (feedMPerMin - trimLineAt);
}

function solve(points: readonly { readonly x: number; readonly y: number; readonly w: number }[]): TrimLine {
  const each = 1 / before.point ** 2;
  let [aa, ab, bb, ya, yb] = [1 / before.a ** 2, 0, 1 / before.b ** 2, 0, 0];
  for (const { x, y, w } of points) {
    aa += w * each;
    ab += w * each * x;
    bb += w * each * x * x;
    ya += w * each * y;
    yb += w * each * x * y;
  }
  const determinant = aa * bb - ab * ab;
  return {
    a: (bb * ya - ab * yb) / determinant,
    b: (aa * yb - ab * ya) / determinant,
    sdA: Math.sqrt(bb / determinant),
    sdB: Math.sqrt(aa / determinant),
    weight: 1 - bb / determinant / before.a ** 2,
  };
}
