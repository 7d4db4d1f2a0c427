/** A prepared butt in cross-section: bevelled plates and every pass in its place, in mm, the top of the plates at y = 0. */
import { bevelHeightMm, topWidthMm, type EdgeGroove, type PassPlace } from '../plan/index.ts';
import type { DrawnPass, JointGeometry, Point } from './shapes.ts';

export function grooveGeometry(
  groove: EdgeGroove,
  [t1, t2]: readonly [number, number],
  places: readonly (PassPlace | null)[],
): JointGeometry {
  const reachMm = Math.max(14, 1.5 * groove.thicknessMm, 1.6 * topWidthMm(groove));
  const w = reachMm * 5;
  const side = (sign: 1 | -1, t: number): Point[] => [[sign * w, -t], ...edge(groove, sign, t), [sign * w, 0]];
  const half = topWidthMm(groove) / 2;
  return {
    plates: [
      { outline: side(-1, t1), label: [-w, -t1 / 2], thicknessMm: t1 },
      { outline: side(1, t2), label: [w, -t2 / 2], thicknessMm: t2 },
    ],
    bead: { from: [half, 0], root: [0, -groove.thicknessMm], to: [-half, 0], crown: [0, 2.4] },
    passes: places.flatMap((place, index) => (place ? [drawn(groove, place, index + 1)] : [])),
    aim: [0, 0],
    gun: [0, 1],
    ...(groove.gapMm > 0
      ? {
          gap: [
            [-groove.gapMm / 2, -groove.thicknessMm],
            [groove.gapMm / 2, -groove.thicknessMm],
          ] as const,
        }
      : {}),
    reachMm,
  };
}

/** Points of one plate's edge from the bottom to the top. */
function edge(groove: EdgeGroove, sign: 1 | -1, t: number): Point[] {
  const heights =
    groove.sides === 2 ? [0, bevelHeightMm(groove), t - bevelHeightMm(groove), t] : [0, groove.rootFaceMm, t];
  return heights.map((height): Point => [sideAt(groove, sign, height), height - t]);
}

/** Where an edge stands at a height over the bottom of the plate, mm from the middle of the gap. */
function sideAt(groove: EdgeGroove, sign: 1 | -1, heightMm: number): number {
  const { gapMm, rootFaceMm, thicknessMm, widening, sides, kind } = groove;
  const over =
    sides === 2
      ? Math.max(Math.abs(heightMm - thicknessMm / 2) - rootFaceMm / 2, 0)
      : Math.max(heightMm - rootFaceMm, 0);
  const open = Math.min(over, bevelHeightMm(groove)) * widening;
  // A single bevel opens on one side only.
  const share = kind === 'bevel' ? (sign === 1 ? 1 : 0) : 0.5;
  return sign * (gapMm / 2 + open * share);
}

function drawn(groove: EdgeGroove, place: PassPlace, pass: number): DrawnPass {
  const { thicknessMm } = groove;
  const down = place.side === 'bottom';
  // Heights of a double V run from the middle of the plate to both sides.
  const heightOf = (mm: number) => (groove.sides === 2 ? thicknessMm / 2 + (down ? -mm : mm) : mm);
  const at = (mm: number, share: number): Point => {
    const height = heightOf(mm);
    const inside = Math.min(Math.max(height, 0), thicknessMm);
    const [left, right] = [sideAt(groove, -1, inside), sideAt(groove, 1, inside)];
    return [left + (right - left) * share, height - thicknessMm];
  };
  const { fromMm, toMm, leftShare, rightShare } = place;
  const face = groove.sides === 2 ? thicknessMm / 2 : thicknessMm;
  const root = groove.rootFaceMm / groove.sides;
  // A pass follows the edge where it bends: over the root face, and at the top of the plate.
  const bends = [root, face].filter((mm) => mm > fromMm && mm < toMm);
  const heights = [fromMm, ...bends, toMm];
  const outline = [
    ...heights.map((mm) => at(mm, leftShare)),
    ...[...heights].reverse().map((mm) => at(mm, rightShare)),
  ];
  return {
    pass,
    outline,
    label: at((fromMm + toMm) / 2, (leftShare + rightShare) / 2),
    heightMm: toMm - fromMm,
  };
}
