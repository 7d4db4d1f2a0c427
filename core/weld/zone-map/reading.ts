/** What a finished map says: how much of it each zone takes, how far the edges of the present zone are and what waits there, and its middle. */
import type { AxisRange } from './axes.ts';
import { cellFigure, type Cell } from './cell.ts';
import { zones, type Zone } from './zone.ts';

/** Row by row from the lower end of y; a place not computed yet is null. */
export interface ZoneMap {
  readonly count: number;
  readonly x: AxisRange;
  readonly y: AxisRange;
  readonly cells: readonly (Cell | null)[];
}

export function cellAt({ count, cells }: ZoneMap, column: number, row: number): Cell | null {
  return column < 0 || row < 0 || column >= count || row >= count ? null : (cells[row * count + column] ?? null);
}

/** The place that a pair of figures falls into, held inside the map. */
export function placeOf({ count, x, y }: ZoneMap, figureX: number, figureY: number): { column: number; row: number } {
  const place = ({ from, to }: AxisRange, figure: number) =>
    Math.min(Math.max(Math.floor(((figure - from) / (to - from)) * count), 0), count - 1);
  return { column: place(x, figureX), row: place(y, figureY) };
}

/** Area of each zone in x unit × y unit, and its share of what was computed. */
export function zoneAreas(map: ZoneMap): { readonly zone: Zone; readonly area: number; readonly share: number }[] {
  const known = map.cells.filter((cell) => cell !== null);
  const one = ((map.x.to - map.x.from) * (map.y.to - map.y.from)) / map.count ** 2;
  return zones.flatMap((zone) => {
    const cells = known.filter((cell) => cell.zone === zone).length;
    return cells === 0 ? [] : [{ zone, area: cells * one, share: cells / known.length }];
  });
}

export interface Margin {
  readonly direction: 'x-down' | 'x-up' | 'y-down' | 'y-up';
  /** Distance to the edge in the axis's unit; to the map's own end when the zone runs out of it. */
  readonly by: number;
  /** What waits there; null at the end of the map. */
  readonly waits: Zone | null;
}

/** From a place straight to the edges of its zone. Single cells of another zone count as an edge only when the next one agrees: simulated noise is not a border. */
export function marginsAt(map: ZoneMap, figureX: number, figureY: number): Margin[] {
  const { column, row } = placeOf(map, figureX, figureY);
  const here = cellAt(map, column, row)?.zone;
  if (here === undefined) return [];
  const walk = (direction: Margin['direction'], dx: number, dy: number): Margin => {
    const axis = dx === 0 ? map.y : map.x;
    const figure = dx === 0 ? figureY : figureX;
    const start = dx === 0 ? row : column;
    const sign = dx + dy;
    for (let step = 1; ; step++) {
      const cell = cellAt(map, column + dx * step, row + dy * step);
      if (!cell) {
        const end = sign > 0 ? axis.to : axis.from;
        return { direction, by: Math.abs(end - figure), waits: null };
      }
      const next = cellAt(map, column + dx * (step + 1), row + dy * (step + 1));
      if (cell.zone !== here && (!next || next.zone !== here)) {
        const middle = cellFigure(axis, start + sign * step, map.count);
        const edge = middle - (sign * (axis.to - axis.from)) / map.count / 2;
        return { direction, by: Math.max(Math.abs(edge - figure), 0), waits: cell.zone };
      }
    }
  };
  return [walk('x-down', -1, 0), walk('x-up', 1, 0), walk('y-down', 0, -1), walk('y-up', 0, 1)];
}

/**
 * The place furthest from every edge of the given zones. Beyond the map nothing was computed, so that its own end counts as an edge;
 * of places equally deep, the one nearest to the middle of the map. Undefined when the map has none of the zones.
 */
export function zoneCentre(
  map: ZoneMap,
  wanted: readonly Zone[],
): { readonly x: number; readonly y: number } | undefined {
  const { count } = map;
  const isIn = (column: number, row: number) => {
    const zone = cellAt(map, column, row)?.zone;
    return zone !== undefined && wanted.includes(zone);
  };
  const middle = (count - 1) / 2;
  let best: { column: number; row: number; depth: number; away: number } | undefined;
  for (let row = 0; row < count; row++) {
    for (let column = 0; column < count; column++) {
      if (!isIn(column, row)) continue;
      let depth = 0;
      // Rings of a diamond: all of it inside, out to where the first place is not.
      while (ring(column, row, depth + 1).every(([c, r]) => isIn(c, r))) depth++;
      const away = Math.hypot(column - middle, row - middle);
      if (!best || depth > best.depth || (depth === best.depth && away < best.away))
        best = { column, row, depth, away };
    }
  }
  return best && { x: cellFigure(map.x, best.column, count), y: cellFigure(map.y, best.row, count) };
}

function ring(column: number, row: number, radius: number): [number, number][] {
  const places: [number, number][] = [];
  for (let dx = -radius; dx <= radius; dx++) {
    const dy = radius - Math.abs(dx);
    places.push([column + dx, row + dy], [column + dx, row - dy]);
  }
  return places;
}
