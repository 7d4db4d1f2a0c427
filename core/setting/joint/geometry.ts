/**
 * A joint in cross-section from its numbers, in mm, ready to be drawn to scale: plates, bead, where the wire points, dimensions.
 * x to the right, y up, the root of the bead near the origin; turned afterwards into the welding position.
 */
import {
  grooveOf,
  isGroove,
  type Joint,
  type PassPlace,
  type Position,
  type Preparation,
  thinnerMm,
} from '../plan/index.ts';
import { grooveGeometry } from './groove.ts';
import type { JointGeometry, Plate, Point } from './shapes.ts';

export interface JointNumbers {
  readonly joint: Joint;
  readonly position: Position;
  readonly thicknessesMm: readonly [number, number];
  readonly gapMm: number;
  /** Leg of the fillet, or null. */
  readonly legMm: number | null;
  /** Area of the bead, mm². */
  readonly areaMm2: number;
  readonly preparation?: Preparation | null | undefined;
  /** Where each pass lies in a groove, in the order they are laid. */
  readonly places?: readonly (PassPlace | null)[] | undefined;
}

/** The joint as it lies for welding. */
export function jointGeometry(numbers: JointNumbers): JointGeometry {
  const { preparation, thicknessesMm, gapMm, places = [] } = numbers;
  const drawn =
    numbers.joint === 'butt' && preparation && isGroove(preparation)
      ? grooveGeometry(grooveOf(preparation, thinnerMm(thicknessesMm), gapMm), thicknessesMm, places)
      : flat(numbers);
  return turn(drawn, turnFor(numbers));
}

function flat({ joint, thicknessesMm: [t1, t2], gapMm: g, legMm, areaMm2 }: JointNumbers): JointGeometry {
  const thick = Math.max(t1, t2);
  const reachMm = Math.max(14, 2.6 * thick, 2.2 * (legMm ?? 0) + thick);
  // Plates run out of any window they are drawn in.
  const w = reachMm * 5;
  switch (joint) {
    case 'tee': {
      const leg = legMm ?? 3;
      return {
        plates: [
          plate(
            [
              [-t1, g],
              [0, g],
              [0, w],
              [-t1, w],
            ],
            [-t1 / 2, w],
            t1,
          ),
          plate(
            [
              [-w, -t2],
              [w, -t2],
              [w, 0],
              [-w, 0],
            ],
            [w, -t2 / 2],
            t2,
          ),
        ],
        bead: fillet([leg + g, 0], [0, 0], [0, leg + g]),
        aim: [0.25 * leg, 0.25 * leg],
        gun: unit(1, 1),
        leg: [
          [0, 0],
          [leg + g, 0],
        ],
        ...(g > 0
          ? {
              gap: [
                [-t1 / 2, 0],
                [-t1 / 2, g],
              ] as const,
            }
          : {}),
        reachMm,
      };
    }
    case 'lap': {
      const leg = legMm ?? 3;
      // A fillet cannot climb higher than the edge of the upper sheet.
      const rise = Math.min(leg + g, t1 + g);
      return {
        plates: [
          plate(
            [
              [-w, g],
              [0, g],
              [0, g + t1],
              [-w, g + t1],
            ],
            [-w, g + t1 / 2],
            t1,
          ),
          plate(
            [
              [-w, -t2],
              [w, -t2],
              [w, 0],
              [-w, 0],
            ],
            [w, -t2 / 2],
            t2,
          ),
        ],
        bead: fillet([leg + g, 0], [0, 0], [0, rise]),
        aim: [0.25 * leg, 0.25 * rise],
        gun: unit(0.62, 0.8),
        leg: [
          [0, 0],
          [leg + g, 0],
        ],
        ...(g > 0
          ? {
              gap: [
                [-reachMm * 0.5, 0],
                [-reachMm * 0.5, g],
              ] as const,
            }
          : {}),
        reachMm,
      };
    }
    case 'butt': {
      const t = thinnerMm([t1, t2]);
      const width = t + 3;
      const crown = 0.1 * t + 0.8;
      return {
        plates: [
          plate(
            [
              [-w, -t1],
              [-g / 2, -t1],
              [-g / 2, 0],
              [-w, 0],
            ],
            [-w, -t1 / 2],
            t1,
          ),
          plate(
            [
              [g / 2, -t2],
              [w, -t2],
              [w, 0],
              [g / 2, 0],
            ],
            [w, -t2 / 2],
            t2,
          ),
        ],
        // A quadratic curve rises to half its control point.
        bead: { from: [width / 2, 0], root: [0, -t * 0.85], to: [-width / 2, 0], crown: [0, 2 * crown] },
        aim: [0, 0],
        gun: [0, 1],
        ...(g > 0
          ? {
              gap: [
                [-g / 2, -t],
                [g / 2, -t],
              ] as const,
            }
          : {}),
        reachMm,
      };
    }
    case 'corner-outside':
      return {
        plates: [
          plate(
            [
              [-w, 0],
              [g, 0],
              [g, t1],
              [-w, t1],
            ].map(([x, y]) => [(x ?? 0) - g, y ?? 0] as Point),
            [-w, t1 / 2],
            t1,
          ),
          plate(
            [
              [0, -w],
              [t2, -w],
              [t2, -g],
              [0, -g],
            ],
            [t2 / 2, -w],
            t2,
          ),
        ],
        bead: { from: [t2, -g], root: [0, 0], to: [-g, t1], crown: crownFor([t2, -g], [0, 0], [-g, t1], areaMm2) },
        aim: [t2 * 0.35, t1 * 0.35],
        gun: unit(1, 1),
        ...(g > 0
          ? {
              gap: [
                [0, -g],
                [0, 0],
              ] as const,
            }
          : {}),
        reachMm,
      };
    case 'edge': {
      const from: Point = [g + t2, 0];
      const to: Point = [-t1, 0];
      return {
        plates: [
          plate(
            [
              [-t1, -w],
              [0, -w],
              [0, 0],
              [-t1, 0],
            ],
            [-t1 / 2, -w],
            t1,
          ),
          plate(
            [
              [g, -w],
              [g + t2, -w],
              [g + t2, 0],
              [g, 0],
            ],
            [g + t2 / 2, -w],
            t2,
          ),
        ],
        bead: {
          from,
          root: [g / 2, -0.5 * thinnerMm([t1, t2])],
          to,
          crown: [(g + t2 - t1) / 2, Math.min((2 * 0.75 * areaMm2) / (t1 + t2 + g), 3 * (t1 + t2))],
        },
        aim: [(g + t2 - t1) / 2, 0],
        gun: [0, 1],
        ...(g > 0
          ? {
              gap: [
                [0, -1],
                [g, -1],
              ] as const,
            }
          : {}),
        reachMm,
      };
    }
  }
}

/** A triangle with a face that bulges by the model's 10 % convexity: the curve adds two thirds of its rise times the chord. */
function fillet(from: Point, root: Point, to: Point): JointGeometry['bead'] {
  const area = triangle(from, root, to) * 1.1;
  return { from, root, to, crown: crownFor(from, root, to, area) };
}

/** Control point of the face so that the bead has the given area, mm²; never caved in below flat. */
function crownFor(from: Point, root: Point, to: Point, areaMm2: number): Point {
  const chord: Point = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(...chord);
  const extra = Math.max(areaMm2 - triangle(from, root, to), 0);
  // Area under a quadratic curve is 2/3 × chord × rise, and its control point lies at twice the rise.
  const rise = Math.min((2 * 1.5 * extra) / length, length);
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const away: Point = [middle[0] - root[0], middle[1] - root[1]];
  const normal = unit(-chord[1], chord[0]);
  const sign = normal[0] * away[0] + normal[1] * away[1] >= 0 ? 1 : -1;
  return [middle[0] + sign * normal[0] * rise, middle[1] + sign * normal[1] * rise];
}

function triangle([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number {
  return Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
}

/** Degrees to turn, counter-clockwise, so that the joint lies as it is welded; PF and PG are drawn as seen along the seam. */
function turnFor({ joint, position }: JointNumbers): number {
  const faceUp = joint === 'tee' || joint === 'corner-outside' ? 45 : joint === 'lap' ? 38 : 0;
  switch (position) {
    case 'PA':
      return faceUp;
    case 'PC':
      return faceUp - 90;
    case 'PD':
      return -90;
    case 'PE':
      return faceUp + 180;
    default:
      return 0;
  }
}

function turn(geometry: JointGeometry, degrees: number): JointGeometry {
  if (degrees === 0) return geometry;
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const at = ([x, y]: Point): Point => [x * cos - y * sin, x * sin + y * cos];
  const pair = ([a, b]: readonly [Point, Point]) => [at(a), at(b)] as const;
  const [first, second] = geometry.plates;
  const turned = (one: Plate): Plate => ({ ...one, outline: one.outline.map(at), label: at(one.label) });
  const { from, root, to, crown } = geometry.bead;
  return {
    plates: [turned(first), turned(second)],
    bead: { from: at(from), root: at(root), to: at(to), crown: at(crown) },
    aim: at(geometry.aim),
    gun: at(geometry.gun),
    ...(geometry.passes
      ? {
          passes: geometry.passes.map((one) => ({ ...one, outline: one.outline.map(at), label: at(one.label) })),
        }
      : {}),
    ...(geometry.leg ? { leg: pair(geometry.leg) } : {}),
    ...(geometry.gap ? { gap: pair(geometry.gap) } : {}),
    reachMm: geometry.reachMm,
  };
}

function plate(outline: readonly Point[], label: Point, thicknessMm: number): Plate {
  return { outline, label, thicknessMm };
}

function unit(x: number, y: number): Point {
  const length = Math.hypot(x, y);
  return [x / length, y / length];
}
