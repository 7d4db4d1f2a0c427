/**
 * A joint in cross-section from its numbers, in mm, ready to be drawn to scale: plates, bead, where the wire points, dimensions.
 * x to the right, y up, the root of the bead near the origin; turned afterwards into the welding position.
 */
import { grooveOf, isGroove, thinnerMm } from '../plan/index.ts';
import { flat } from './flat.ts';
import { grooveGeometry } from './groove.ts';
import type { JointGeometry, JointNumbers, Plate, Point } from './shapes.ts';

/** The joint as it lies for welding. */
export function jointGeometry(numbers: JointNumbers): JointGeometry {
  const { preparation, thicknessesMm, gapMm, places = [] } = numbers;
  const drawn =
    numbers.joint === 'butt' && preparation && isGroove(preparation)
      ? grooveGeometry(grooveOf(preparation, thinnerMm(thicknessesMm), gapMm), thicknessesMm, places)
      : flat(numbers);
  return turn(drawn, turnFor(numbers));
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
