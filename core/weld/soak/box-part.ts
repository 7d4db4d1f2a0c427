/**
 * A box or tray of plates joined along their edges: every face a grid of cells, an edge two faces long. An edge conducts as if it were welded already;
 * tacked edges pass less, so that before the first seams their own faces are really a little warmer and the others cooler.
 */
import { advanced, netOf, valueAt, type Link, type Net, type Shares } from './cells.ts';
import { recentLineRise } from './near-source.ts';
import type { Part, PartField } from './part.ts';
import { settledS } from './plate-field.ts';
import type { BoxShape, Place } from './shapes.ts';
import { perMm2 } from '../../base/units/convert.ts';

export const boxFaces = ['base', 'front', 'back', 'left', 'right', 'lid'] as const;
export type BoxFace = (typeof boxFaces)[number];

type Vector = readonly [number, number, number];

/** A face in space: where its corner stands, and its two directions. */
interface Face {
  readonly corner: Vector;
  readonly along: Vector;
  readonly across: Vector;
  readonly sizeMm: readonly [number, number];
}

/** Cells are at least so long, mm: what is finer is asked of the source's own integral. */
const cellMm = 8;
const mostCells = 3000;
/** Coarse ones are for comparing: a sixteenth of the work. */
const coarser = 2;

/** Faces as they are numbered in a place: x along the length (or the width, on left and right), y across or up. */
export function facesOf({ lengthMm: l, widthMm: w, heightMm: h, lid }: BoxShape): Face[] {
  const x: Vector = [1, 0, 0];
  const y: Vector = [0, 1, 0];
  const z: Vector = [0, 0, 1];
  const all: Face[] = [
    { corner: [0, 0, 0], along: x, across: y, sizeMm: [l, w] },
    { corner: [0, 0, 0], along: x, across: z, sizeMm: [l, h] },
    { corner: [0, w, 0], along: x, across: z, sizeMm: [l, h] },
    { corner: [0, 0, 0], along: y, across: z, sizeMm: [w, h] },
    { corner: [l, 0, 0], along: y, across: z, sizeMm: [w, h] },
    { corner: [0, 0, h], along: x, across: y, sizeMm: [l, w] },
  ];
  return lid ? all : all.slice(0, 5);
}

export function boxPart(shape: BoxShape, coarse = false): Part {
  const grid = gridOf(shape, coarse ? coarser : 1);
  const { faces } = grid;
  const { thicknessMm } = shape;
  return {
    diffusivityMm2PerS: shape.diffusivityMm2PerS,
    volumetricHeatJPerMm3K: shape.volumetricHeatJPerMm3K,
    lossWPerM2K: shape.lossWPerM2K,
    settledS: settledS(shape),
    field: () => fieldOf(grid, new Float64Array(grid.net.capacity.length)),
    recentRise(recent, place) {
      const on = recent.now[2] ?? 0;
      const face = faces[on];
      const there = face && unfolded(grid, on, place);
      if (!there) return 0;
      // Edges without a neighbour turn heat back; over the others it goes on as in one unfolded sheet.
      const free = (side: Side) => (grid.joined[on]?.[side] === undefined ? [edgeAt(face, side)] : []);
      return recentLineRise(
        shape,
        thicknessMm,
        { ...recent, now: [recent.now[0], recent.now[1]] },
        there,
        [...free('left'), ...free('right')],
        [...free('low'), ...free('high')],
      );
    },
    sheetMmAt: () => thicknessMm,
    holdsOwn: true,
  };
}

type Side = 'left' | 'right' | 'low' | 'high';
const sides: readonly Side[] = ['left', 'right', 'low', 'high'];

interface Grid {
  readonly faces: readonly Face[];
  readonly net: Net;
  readonly cells: readonly (readonly [number, number])[];
  readonly firstCell: readonly number[];
  /** Face beyond each side, where there is one. */
  readonly joined: readonly Partial<Record<Side, number>>[];
  /** Cell beyond a cell's side: on its own face or over the edge; -1: none. */
  beyond(cell: number, side: Side): number;
}

function gridOf(shape: BoxShape, by: number): Grid {
  const faces = facesOf(shape);
  const area = faces.reduce((sum, { sizeMm }) => sum + sizeMm[0] * sizeMm[1], 0);
  const size = by * Math.max(cellMm, Math.sqrt(area / mostCells));
  // Equal edges get equally many cells, so that those on either side of an edge stand opposite each other.
  const cells = faces.map(({ sizeMm }) => sizeMm.map((mm) => Math.max(Math.round(mm / size), 2)) as [number, number]);
  const firstCell: number[] = [];
  let count = 0;
  for (const [columns, rows] of cells) {
    firstCell.push(count);
    count += columns * rows;
  }
  const joined = faces.map((face, at) =>
    Object.fromEntries(
      sides.flatMap((side) => {
        const middle = onSide(face, side, 0.5);
        const other = faces.findIndex((one, number) => number !== at && placeOn(one, middle) !== undefined);
        return other === -1 ? [] : [[side, other] as const];
      }),
    ),
  );
  const beyondCell = new Int32Array(4 * count).fill(-1);
  const capacity = new Float64Array(count);
  const loss = new Float64Array(count);
  const links: Link[] = [];
  const { thicknessMm: t, volumetricHeatJPerMm3K, lossWPerM2K } = shape;
  const conducts = shape.diffusivityMm2PerS * volumetricHeatJPerMm3K * t;
  const stepOf = (face: number): readonly [number, number] => {
    const [columns, rows] = cells[face] ?? [1, 1];
    const [a, b] = faces[face]?.sizeMm ?? [1, 1];
    return [a / columns, b / rows];
  };
  faces.forEach((face, at) => {
    const [columns, rows] = cells[at] ?? [1, 1];
    const [dx, dy] = stepOf(at);
    for (let i = 0; i < columns; i++)
      for (let j = 0; j < rows; j++) {
        const cell = (firstCell[at] ?? 0) + i * rows + j;
        capacity[cell] = volumetricHeatJPerMm3K * t * dx * dy;
        loss[cell] = 2 * perMm2(lossWPerM2K) * dx * dy;
        sides.forEach((side, number) => {
          const [di, dj] = direction[side];
          const inside = i + di >= 0 && i + di < columns && j + dj >= 0 && j + dj < rows;
          const lengthwise = di !== 0;
          let to = -1;
          let conductance = 0;
          if (inside) {
            to = cell + di * rows + dj;
            conductance = lengthwise ? (conducts * dy) / dx : (conducts * dx) / dy;
          } else {
            const over = joined[at]?.[side];
            const other = over === undefined ? undefined : faces[over];
            if (over !== undefined && other) {
              const share = lengthwise ? (j + 0.5) / rows : (i + 0.5) / columns;
              const place = placeOn(other, onSide(face, side, share));
              const [ox, oy] = stepOf(over);
              const [otherColumns, otherRows] = cells[over] ?? [1, 1];
              if (place) {
                const column = Math.min(Math.floor(place[0] / ox), otherColumns - 1);
                const row = Math.min(Math.floor(place[1] / oy), otherRows - 1);
                to = (firstCell[over] ?? 0) + column * otherRows + row;
                const onEnd = place[0] < 1e-6 || place[0] > other.sizeMm[0] - 1e-6;
                const [own, theirs] = [lengthwise ? dx : dy, onEnd ? ox : oy];
                conductance = (conducts * (lengthwise ? dy : dx)) / ((own + theirs) / 2);
              }
            }
          }
          beyondCell[4 * cell + number] = to;
          if (to > cell) links.push({ a: cell, b: to, conductance });
        });
      }
  });
  return {
    faces,
    net: netOf(capacity, loss, links),
    cells,
    firstCell,
    joined,
    beyond: (cell, side) => beyondCell[4 * cell + sides.indexOf(side)] ?? -1,
  };
}

const direction: Readonly<Record<Side, readonly [number, number]>> = {
  left: [-1, 0],
  right: [1, 0],
  low: [0, -1],
  high: [0, 1],
};

function fieldOf(grid: Grid, start: Float64Array): PartField {
  let rise = start;
  return {
    advance(seconds, sources = []) {
      rise = advanced(
        grid.net,
        rise,
        seconds,
        sources.length === 0
          ? undefined
          : (atS) =>
              sources.map(({ at, velocity, powerW }) => ({
                shares: sharesAt(grid, [at[0] + velocity[0] * atS, at[1] + velocity[1] * atS, at[2] ?? 0]),
                powerW,
              })),
      );
    },
    riseAt: (place) => valueAt(rise, sharesAt(grid, place)),
    copy: () => fieldOf(grid, rise),
  };
}

/** The four cells around a place and how near each is; over an edge they are the neighbour's. */
function sharesAt(grid: Grid, [x, y, on = 0]: Place): Shares {
  const face = grid.faces[on];
  const [columns, rows] = grid.cells[on] ?? [1, 1];
  if (!face) return [];
  const along = (x / face.sizeMm[0]) * columns;
  const across = (y / face.sizeMm[1]) * rows;
  const i = Math.min(Math.max(Math.floor(along), 0), columns - 1);
  const j = Math.min(Math.max(Math.floor(across), 0), rows - 1);
  const cell = (grid.firstCell[on] ?? 0) + i * rows + j;
  const fx = Math.min(Math.max(along - i - 0.5, -0.5), 0.5);
  const fy = Math.min(Math.max(across - j - 0.5, -0.5), 0.5);
  const or = (other: number, own: number) => (other === -1 ? own : other);
  const toX: Side = fx < 0 ? 'left' : 'right';
  const toY: Side = fy < 0 ? 'low' : 'high';
  const besideX = or(grid.beyond(cell, toX), cell);
  const besideY = or(grid.beyond(cell, toY), cell);
  // Diagonally over a corner of the box no fourth face exists: the step along the own face stands for it.
  const insideX = i + direction[toX][0] >= 0 && i + direction[toX][0] < columns;
  const diagonal = insideX ? or(grid.beyond(besideX, toY), besideX) : or(grid.beyond(besideY, toX), besideY);
  const [a, b] = [Math.abs(fx), Math.abs(fy)];
  return [
    [cell, (1 - a) * (1 - b)],
    [besideX, a * (1 - b)],
    [besideY, (1 - a) * b],
    [diagonal, a * b],
  ];
}

/** A place as it lies in the plane of a face when its own is folded flat; undefined where the two do not meet. */
function unfolded(grid: Grid, on: number, [x, y, from = 0]: Place): readonly [number, number] | undefined {
  if (from === on) return [x, y];
  const [face, other] = [grid.faces[on], grid.faces[from]];
  const side = sides.find((one) => grid.joined[on]?.[one] === from);
  if (!face || !other || !side) return undefined;
  const point = spaceOf(other, x, y);
  const offset = point.map((value, at) => value - (face.corner[at] ?? 0)) as unknown as Vector;
  const [u, v] = [dot(offset, face.along), dot(offset, face.across)];
  const off = Math.hypot(...offset.map((value, at) => value - u * (face.along[at] ?? 0) - v * (face.across[at] ?? 0)));
  const [du, dv] = direction[side];
  return [u + du * off, v + dv * off];
}

function edgeAt({ sizeMm }: Face, side: Side): number {
  return side === 'left' || side === 'low' ? 0 : side === 'right' ? sizeMm[0] : sizeMm[1];
}

function onSide(face: Face, side: Side, share: number): Vector {
  const [a, b] = face.sizeMm;
  return side === 'left' || side === 'right'
    ? spaceOf(face, edgeAt(face, side), b * share)
    : spaceOf(face, a * share, edgeAt(face, side));
}

function spaceOf({ corner, along, across }: Face, x: number, y: number): Vector {
  return [0, 1, 2].map((at) => (corner[at] ?? 0) + x * (along[at] ?? 0) + y * (across[at] ?? 0)) as unknown as Vector;
}

/** Where a point in space lies on a face; undefined off it. */
function placeOn(face: Face, point: Vector): readonly [number, number] | undefined {
  const offset = point.map((value, at) => value - (face.corner[at] ?? 0)) as unknown as Vector;
  const [u, v] = [dot(offset, face.along), dot(offset, face.across)];
  const off = Math.hypot(...offset.map((value, at) => value - u * (face.along[at] ?? 0) - v * (face.across[at] ?? 0)));
  const [a, b] = face.sizeMm;
  return off < 1e-6 && u > -1e-6 && u < a + 1e-6 && v > -1e-6 && v < b + 1e-6 ? [u, v] : undefined;
}

function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

export const boxEdges = [
  'base-front',
  'base-back',
  'base-left',
  'base-right',
  'front-left',
  'front-right',
  'back-left',
  'back-right',
  'lid-front',
  'lid-back',
  'lid-left',
  'lid-right',
] as const;
export type BoxEdge = (typeof boxEdges)[number];

/** Edges that two of the box's plates share. */
export function edgesOf({ lid }: Pick<BoxShape, 'lid'>): readonly BoxEdge[] {
  return lid ? boxEdges : boxEdges.filter((edge) => !edge.startsWith('lid'));
}

export function edgeLengthMm({ lengthMm, widthMm, heightMm }: BoxShape, edge: BoxEdge): number {
  if (/^(?:front|back)-/.test(edge)) return heightMm;
  return edge.endsWith('left') || edge.endsWith('right') ? widthMm : lengthMm;
}

/** A place on an edge, so many mm from its left, front or lower end. */
export function onEdge(shape: BoxShape, edge: BoxEdge, mm: number): Place {
  const { lengthMm: l, widthMm: w } = shape;
  switch (edge) {
    case 'base-front':
      return [mm, 0, 0];
    case 'base-back':
      return [mm, w, 0];
    case 'base-left':
      return [0, mm, 0];
    case 'base-right':
      return [l, mm, 0];
    case 'front-left':
      return [0, mm, 1];
    case 'front-right':
      return [l, mm, 1];
    case 'back-left':
      return [0, mm, 2];
    case 'back-right':
      return [l, mm, 2];
    case 'lid-front':
      return [mm, 0, 5];
    case 'lid-back':
      return [mm, w, 5];
    case 'lid-left':
      return [0, mm, 5];
    case 'lid-right':
      return [l, mm, 5];
  }
}
