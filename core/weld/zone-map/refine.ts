/**
 * Drawing a map where it matters: a coarse grid first, then on each finer one only the places next to a border between zones.
 * The rest has one zone all around and is filled from the coarser picture. An island of one place is noise of a short run until a longer one says otherwise.
 */
import type { Cell } from './cell.ts';
import type { ZoneMap } from './reading.ts';

/** One pass over a map: places along each side, and how long each place is run. */
export interface MapPass {
  readonly count: number;
  /** Measured part of each run, s. */
  readonly seconds: number;
  /** Left to settle before it is measured, s. */
  readonly settleS: number;
  readonly stepS: number;
}

/** Coarse to fine; a step of 20 µs names the same zones as one of 10 (tested). */
export const mapPasses: readonly MapPass[] = [
  { count: 10, seconds: 0.1, settleS: 0.15, stepS: 20e-6 },
  { count: 20, seconds: 0.15, settleS: 0.2, stepS: 20e-6 },
  { count: 40, seconds: 0.25, settleS: 0.25, stepS: 20e-6 },
];

/** For islands: long enough that a rare short decides. */
export const islandPass: Omit<MapPass, 'count'> = { seconds: 1, settleS: 0.3, stepS: 10e-6 };

/** Places of a finer grid that lie next to a border of the coarser picture; all of them without one. Row × count + column. */
export function placesToRun(coarse: ZoneMap | undefined, count: number): number[] {
  const all = Array.from({ length: count * count }, (_, place) => place);
  if (!coarse) return all;
  return all.filter((place) => !isInside(coarse, count, place));
}

/** The finer grid as the coarser picture has it, where one zone is all around; null where it has to be run. */
export function filledFrom(coarse: ZoneMap | undefined, count: number): (Cell | null)[] {
  return Array.from({ length: count * count }, (_, place) =>
    coarse && isInside(coarse, count, place) ? between(coarse, count, place) : null,
  );
}

/** Places whose four neighbours are of one zone and they of another. */
export function islandsOf({ count, cells }: ZoneMap): number[] {
  return cells.flatMap((cell, place) => {
    if (!cell) return [];
    const near = neighbours(place, count).map((at) => cells[at]?.zone);
    const [first] = near;
    return near.length >= 3 && first !== cell.zone && near.every((zone) => zone === first) ? [place] : [];
  });
}

function neighbours(place: number, count: number): number[] {
  const [row, column] = [Math.floor(place / count), place % count];
  return [
    ...(row > 0 ? [place - count] : []),
    ...(row < count - 1 ? [place + count] : []),
    ...(column > 0 ? [place - 1] : []),
    ...(column < count - 1 ? [place + 1] : []),
  ];
}

/** Where a place of the finer grid lies on the coarser one, in its places. */
function onCoarse(place: number, count: number, coarse: number): readonly [column: number, row: number] {
  const at = (index: number) => ((index + 0.5) * coarse) / count - 0.5;
  return [at(place % count), at(Math.floor(place / count))];
}

/** The coarse places around, with the share of each. */
function around(
  { count, cells }: ZoneMap,
  column: number,
  row: number,
): readonly { cell: Cell | null; share: number }[] {
  const held = (index: number) => Math.min(Math.max(index, 0), count - 1);
  const [left, top] = [Math.floor(column), Math.floor(row)];
  const [alongX, alongY] = [column - left, row - top];
  return [
    [left, top, (1 - alongX) * (1 - alongY)],
    [left + 1, top, alongX * (1 - alongY)],
    [left, top + 1, (1 - alongX) * alongY],
    [left + 1, top + 1, alongX * alongY],
  ].map(([x = 0, y = 0, share = 0]) => ({ cell: cells[held(y) * count + held(x)] ?? null, share }));
}

/** One zone in the coarse places around, and around those. */
function isInside(coarse: ZoneMap, count: number, place: number): boolean {
  const [column, row] = onCoarse(place, count, coarse.count);
  const zone = coarse.cells[Math.round(row) * coarse.count + Math.round(column)]?.zone;
  if (zone === undefined) return false;
  return around(coarse, column, row).every(({ cell }) => cell?.zone === zone);
}

function between(coarse: ZoneMap, count: number, place: number): Cell | null {
  const [column, row] = onCoarse(place, count, coarse.count);
  const near = around(coarse, column, row);
  const first = near[0]?.cell;
  if (!first) return null;
  const mix = (read: (cell: Cell) => number) =>
    near.reduce((sum, { cell, share }) => sum + (cell ? read(cell) : 0) * share, 0);
  return {
    zone: first.zone,
    shortsPerS: mix((cell) => cell.shortsPerS),
    dropsPerPulse: mix((cell) => cell.dropsPerPulse),
    arcLengthMm: mix((cell) => cell.arcLengthMm),
  };
}
