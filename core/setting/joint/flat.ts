/** Joints without a groove as they lie on a bench: two plates, the bead between them, where the wire points. In mm. */
import { type Joint, thinnerMm } from '../plan/index.ts';
import type { JointGeometry, JointNumbers, Plate, Point } from './shapes.ts';

interface Sizes {
  readonly t1: number;
  readonly t2: number;
  /** Gap. */
  readonly g: number;
  readonly leg: number;
  readonly areaMm2: number;
  /** Half the width of what is drawn. */
  readonly reachMm: number;
  /** Where plates end: out of any window they are drawn in. */
  readonly w: number;
}

export function flat({ joint, thicknessesMm: [t1, t2], gapMm: g, legMm, areaMm2 }: JointNumbers): JointGeometry {
  const thick = Math.max(t1, t2);
  const reachMm = Math.max(14, 2.6 * thick, 2.2 * (legMm ?? 0) + thick);
  const sizes = { t1, t2, g, leg: legMm ?? 3, areaMm2, reachMm, w: reachMm * 5 };
  return { ...shapes[joint](sizes), reachMm };
}

const shapes: Record<Joint, (sizes: Sizes) => Omit<JointGeometry, 'reachMm'>> = {
  tee: ({ t1, t2, g, leg, w }) => ({
    plates: [plate([-t1, g], [0, w], [-t1 / 2, w], t1), plate([-w, -t2], [w, 0], [w, -t2 / 2], t2)],
    bead: fillet([leg + g, 0], [0, 0], [0, leg + g]),
    aim: [0.25 * leg, 0.25 * leg],
    gun: unit(1, 1),
    leg: [
      [0, 0],
      [leg + g, 0],
    ],
    ...gap(g, [-t1 / 2, 0], [-t1 / 2, g]),
  }),
  lap: ({ t1, t2, g, leg, w, reachMm }) => {
    // A fillet cannot climb higher than the edge of the upper sheet.
    const rise = Math.min(leg + g, t1 + g);
    return {
      plates: [plate([-w, g], [0, g + t1], [-w, g + t1 / 2], t1), plate([-w, -t2], [w, 0], [w, -t2 / 2], t2)],
      bead: fillet([leg + g, 0], [0, 0], [0, rise]),
      aim: [0.25 * leg, 0.25 * rise],
      gun: unit(0.62, 0.8),
      leg: [
        [0, 0],
        [leg + g, 0],
      ],
      ...gap(g, [-reachMm * 0.5, 0], [-reachMm * 0.5, g]),
    };
  },
  butt: ({ t1, t2, g, w }) => {
    const t = thinnerMm([t1, t2]);
    const width = t + 3;
    const crown = 0.1 * t + 0.8;
    return {
      plates: [plate([-w, -t1], [-g / 2, 0], [-w, -t1 / 2], t1), plate([g / 2, -t2], [w, 0], [w, -t2 / 2], t2)],
      // A quadratic curve rises to half its control point.
      bead: { from: [width / 2, 0], root: [0, -t * 0.85], to: [-width / 2, 0], crown: [0, 2 * crown] },
      aim: [0, 0],
      gun: [0, 1],
      ...gap(g, [-g / 2, -t], [g / 2, -t]),
    };
  },
  'corner-outside': ({ t1, t2, g, areaMm2, w }) => {
    const from: Point = [t2, -g];
    const root: Point = [0, 0];
    const to: Point = [-g, t1];
    return {
      plates: [plate([-w - g, 0], [0, t1], [-w, t1 / 2], t1), plate([0, -w], [t2, -g], [t2 / 2, -w], t2)],
      bead: { from, root, to, crown: crownFor(from, root, to, areaMm2) },
      aim: [t2 * 0.35, t1 * 0.35],
      gun: unit(1, 1),
      ...gap(g, [0, -g], [0, 0]),
    };
  },
  edge: ({ t1, t2, g, areaMm2, w }) => {
    const middle = (g + t2 - t1) / 2;
    return {
      plates: [plate([-t1, -w], [0, 0], [-t1 / 2, -w], t1), plate([g, -w], [g + t2, 0], [g + t2 / 2, -w], t2)],
      bead: {
        from: [g + t2, 0],
        root: [g / 2, -0.5 * thinnerMm([t1, t2])],
        to: [-t1, 0],
        crown: [middle, Math.min((2 * 0.75 * areaMm2) / (t1 + t2 + g), 3 * (t1 + t2))],
      },
      aim: [middle, 0],
      gun: [0, 1],
      ...gap(g, [0, -1], [g, -1]),
    };
  },
};

/** A plate from its lower left to its upper right corner. */
function plate([left, bottom]: Point, [right, top]: Point, label: Point, thicknessMm: number): Plate {
  const outline: Point[] = [
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
  ];
  return { outline, label, thicknessMm };
}

/** Where the gap is measured, if there is one. */
function gap(g: number, from: Point, to: Point): Pick<JointGeometry, 'gap'> {
  return g > 0 ? { gap: [from, to] } : {};
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

function unit(x: number, y: number): Point {
  const length = Math.hypot(x, y);
  return [x / length, y / length];
}
