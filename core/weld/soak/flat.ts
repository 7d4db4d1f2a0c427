/** A part laid flat to be drawn: a plate from above, a box folded open around its base, a frame in plan. */
import { facesOf } from './box-part.ts';
import { barMm, frameLines } from './frame-part.ts';
import type { PartShape, Place } from './shapes.ts';

/** One face or bar on the drawing, mm; `place` is what lies under a point of it, counted from its own corner. */
export interface FlatFace {
  readonly x: number;
  readonly y: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly face: number;
  place(u: number, v: number): Place;
  /** Where a place of this face lies, counted from the drawing's corner. */
  point(place: Place): readonly [number, number];
}

export interface Flat {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly faces: readonly FlatFace[];
}

/** Between two faces that were folded apart, as a share of the base. */
const gapShare = 0.03;

export function flatOf(shape: PartShape): Flat {
  switch (shape.kind) {
    case 'plate':
      return {
        widthMm: shape.lengthMm,
        heightMm: shape.widthMm,
        faces: [
          faceAt(
            0,
            0,
            0,
            shape.lengthMm,
            shape.widthMm,
            (u, v) => [u, v],
            (x, y) => [x, y],
          ),
        ],
      };
    case 'box': {
      const { lengthMm: l, widthMm: w, heightMm: h } = shape;
      const gap = gapShare * l;
      const [left, top] = [h + gap, h + gap];
      const same = (u: number, v: number): readonly [number, number] => [u, v];
      // The front stands above the base with its foot on it, the sides turned a quarter, the lid folded over the right side.
      const faces = [
        faceAt(0, left, top, l, w, same, same),
        faceAt(
          1,
          left,
          0,
          l,
          h,
          (u, v) => [u, h - v],
          (x, y) => [x, h - y],
        ),
        faceAt(2, left, top + w + gap, l, h, same, same),
        faceAt(
          3,
          0,
          top,
          h,
          w,
          (u, v) => [v, h - u],
          (x, y) => [h - y, x],
        ),
        faceAt(
          4,
          left + l + gap,
          top,
          h,
          w,
          (u, v) => [v, u],
          (x, y) => [y, x],
        ),
        faceAt(
          5,
          left + l + h + 2 * gap,
          top,
          l,
          w,
          (u, v) => [l - u, v],
          (x, y) => [l - x, y],
        ),
      ].slice(0, facesOf(shape).length);
      return {
        widthMm: Math.max(...faces.map(({ x, widthMm }) => x + widthMm)),
        heightMm: w + 2 * (h + gap),
        faces,
      };
    }
    case 'frame': {
      const { joints, bars } = frameLines(shape);
      const wide = shape.tubeMm[0];
      return {
        widthMm: shape.lengthMm + wide,
        heightMm: shape.widthMm + wide,
        faces: bars.map((bar, at) => {
          const [x, y] = joints[bar.from] ?? [0, 0];
          const long = barMm(joints, bar);
          const lies = (joints[bar.to]?.[1] ?? 0) === y;
          // A bar reaches from the middle of one joint to the middle of the next.
          return lies
            ? faceAt(
                at,
                x + wide / 2,
                y,
                long,
                wide,
                (u) => [u, 0],
                (mm) => [mm, wide / 2],
              )
            : faceAt(
                at,
                x,
                y + wide / 2,
                wide,
                long,
                (_u, v) => [v, 0],
                (mm) => [wide / 2, mm],
              );
        }),
      };
    }
  }
}

function faceAt(
  face: number,
  x: number,
  y: number,
  widthMm: number,
  heightMm: number,
  place: (u: number, v: number) => readonly [number, number],
  point: (x: number, y: number) => readonly [number, number],
): FlatFace {
  return {
    x,
    y,
    widthMm,
    heightMm,
    face,
    place: (u, v) => [...place(u, v), face],
    point: (at) => {
      const [u, v] = point(at[0], at[1]);
      return [x + u, y + v];
    },
  };
}
