/** A joint in cross-section as shapes in mm: x to the right, y up; and the numbers they are drawn from. */
import type { Joint, PassPlace, Position, Preparation } from '../plan/index.ts';

export type Point = readonly [xMm: number, yMm: number];

export interface Plate {
  readonly outline: readonly Point[];
  readonly label: Point;
  readonly thicknessMm: number;
}

export interface JointGeometry {
  readonly plates: readonly [Plate, Plate];
  /** Bead outline: its foot points, and the control point of the curve over its face. */
  readonly bead: { readonly from: Point; readonly root: Point; readonly to: Point; readonly crown: Point };
  /** Where the wire points, and the unit vector from there back along the gun. */
  readonly aim: Point;
  readonly gun: Point;
  /** Passes of a prepared butt, each where it lies; the bead is then not drawn. */
  readonly passes?: readonly DrawnPass[];
  /** Ends of the leg along the second plate, for its dimension line; absent where the joint has none. */
  readonly leg?: readonly [Point, Point];
  /** Ends of the gap, when there is one. */
  readonly gap?: readonly [Point, Point];
  /** Half the width of what should be seen, mm. */
  readonly reachMm: number;
}

export interface DrawnPass {
  readonly pass: number;
  readonly outline: readonly Point[];
  readonly label: Point;
  /** Height of its layer, for the size of what is written on it. */
  readonly heightMm: number;
}

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
