/**
 * Edge preparation of a butt: square, V, single bevel, double V, with root face, root gap and backing. Areas are exact geometry plus a cap;
 * angles in degrees (included angle of a V, the bevelled side's own angle of a single bevel), lengths mm, areas mm².
 */
import { squareButtAreaMm2 } from '../bead/index.ts';
import { rangeIssues, type Issue } from '../outcome/index.ts';
import { sizeRule } from './wishes.ts';

export type PreparationKind = 'square' | 'v' | 'bevel' | 'double-v';
export type Backing = 'none' | 'strip' | 'ceramic' | 'trough';

export interface Preparation {
  readonly kind: PreparationKind;
  readonly angleDeg?: number | undefined;
  readonly rootFaceMm?: number | undefined;
  readonly backing?: Backing | undefined;
}

export const preparationKinds: readonly {
  readonly kind: PreparationKind;
  readonly name: string;
  readonly angleDeg: number;
}[] = [
  { kind: 'square', name: 'Square', angleDeg: 0 },
  { kind: 'v', name: 'V', angleDeg: 60 },
  { kind: 'bevel', name: 'Single bevel', angleDeg: 45 },
  { kind: 'double-v', name: 'Double V', angleDeg: 60 },
];
export const backings: readonly { readonly backing: Backing; readonly name: string }[] = [
  { backing: 'none', name: 'None' },
  { backing: 'strip', name: 'Strip that stays' },
  { backing: 'ceramic', name: 'Ceramic' },
  { backing: 'trough', name: 'Copper trough' },
];
export const usualRootFaceMm = 1;

/** A square butt beyond this thickness is not fused through from one side, mm; without a gap it ends earlier. Rules of practice. */
export const squareToMm = { steel: 4, aluminium: 6, closedSteel: 3, closedAluminium: 5 } as const;

/** Widest root gap that holds a pool without backing, mm; assumed. */
const openRootToMm = 4;

export function isGroove(preparation: Preparation | undefined): boolean {
  return preparation !== undefined && preparation.kind !== 'square';
}

/** The groove in numbers that are there. */
export interface EdgeGroove {
  readonly kind: PreparationKind;
  readonly thicknessMm: number;
  readonly gapMm: number;
  readonly rootFaceMm: number;
  /** Widening of the groove per mm of height above the root face, mm. */
  readonly widening: number;
  /** Sides it is welded from. */
  readonly sides: 1 | 2;
}

export function grooveOf(preparation: Preparation, thicknessMm: number, gapMm: number): EdgeGroove {
  const usual = preparationKinds.find(({ kind }) => kind === preparation.kind)?.angleDeg ?? 60;
  const angle = ((preparation.angleDeg ?? usual) * Math.PI) / 180;
  return {
    kind: preparation.kind,
    thicknessMm,
    gapMm,
    rootFaceMm: preparation.rootFaceMm ?? usualRootFaceMm,
    widening: preparation.kind === 'bevel' ? Math.tan(angle) : 2 * Math.tan(angle / 2),
    sides: preparation.kind === 'double-v' ? 2 : 1,
  };
}

/** Height of the bevelled part on one side, mm. */
export function bevelHeightMm({ thicknessMm, rootFaceMm, sides }: EdgeGroove): number {
  return (thicknessMm - rootFaceMm) / sides;
}

/** Width of the groove at its top, mm. */
export function topWidthMm(groove: EdgeGroove): number {
  return groove.gapMm + groove.widening * bevelHeightMm(groove);
}

/** Metal the whole preparation takes, with its caps, and the sum behind it. */
export function preparedArea(
  preparation: Preparation,
  thicknessMm: number,
  gapMm: number,
): { areaMm2: number; because: string } {
  if (preparation.kind === 'square') return squareArea(thicknessMm, gapMm);
  const groove = grooveOf(preparation, thicknessMm, gapMm);
  const height = bevelHeightMm(groove);
  const bevels = (groove.sides * groove.widening * height * height) / 2;
  const caps = groove.sides * sizeRule.capMm * topWidthMm(groove);
  const sides = groove.sides === 2 ? '2 × ' : '';
  return {
    areaMm2: gapMm * thicknessMm + bevels + caps,
    because:
      `${round(gapMm)} × ${round(thicknessMm)} + ${sides}${round(groove.widening)}/2 × ${round(height)}² + ` +
      `${sides}${sizeRule.capMm} × ${round(topWidthMm(groove))} of cap`,
  };
}

/** Square butt: the gap and the caps of practice. */
export function squareArea(thicknessMm: number, gapMm: number): { areaMm2: number; because: string } {
  const caps = squareButtAreaMm2(thicknessMm, 0);
  const t = round(thicknessMm);
  return {
    areaMm2: gapMm * thicknessMm + sizeRule.squareButtCaps * caps,
    because: `${round(gapMm)} × ${t} + ${sizeRule.squareButtCaps} × 0.67 (${t} + 3)(0.1 × ${t} + 0.8)`,
  };
}

/** What is wrong with a preparation. Issues: `preparation-not-for-joint`, `out-of-range`, `no-root`. */
export function preparationIssues(
  preparation: Preparation | undefined,
  isButt: boolean,
  thicknessMm: number,
  gapMm: number,
): Issue[] {
  if (!preparation) return [];
  if (!isButt) {
    const backed = (preparation.backing ?? 'none') !== 'none';
    return [
      {
        path: backed ? 'seam.preparation.backing' : 'seam.preparation.kind',
        code: backed ? 'backing-not-for-joint' : 'preparation-not-for-joint',
        message: backed
          ? `A ${preparation.backing} backing belongs under a butt; this joint has none to lie under.`
          : 'An edge preparation is planned on butts only.',
        limit: 'butt',
        got: backed ? preparation.backing : preparation.kind,
        hint: 'Leave the preparation out, or choose a butt.',
      },
    ];
  }
  if (preparation.kind === 'square') return [];
  const { angleDeg, rootFaceMm: faceMm } = preparation;
  const issues = rangeIssues({ angleDeg, rootFaceMm: faceMm }, 'seam.preparation.');
  if (issues.length > 0) return issues;
  const { rootFaceMm } = grooveOf(preparation, thicknessMm, gapMm);
  const most = thicknessMm - 1;
  if (rootFaceMm > most) {
    issues.push({
      path: 'seam.preparation.rootFaceMm',
      code: 'no-root',
      message: `A root face of ${rootFaceMm} mm leaves no groove in ${round(thicknessMm)} mm; at most ${round(most)} mm may stand.`,
      limit: round(most),
      got: rootFaceMm,
      hint: 'Lower the root face, or weld it square.',
    });
  } else if (rootFaceMm < 0.5 && gapMm > openRootToMm && (preparation.backing ?? 'none') === 'none') {
    issues.push({
      path: 'seam.preparation.rootFaceMm',
      code: 'no-root',
      message: `With ${rootFaceMm} mm of root face over a gap of ${gapMm} mm nothing carries the root; to ${openRootToMm} mm it holds without backing.`,
      limit: openRootToMm,
      got: gapMm,
      hint: 'Close the gap, leave a root face, or put a backing under it.',
    });
  }
  return issues;
}

/** Why a square butt of this thickness is not planned: it asks for a preparation. */
export function squareIssue(thicknessMm: number, gapMm: number, isAluminium: boolean): Issue | undefined {
  const open = isAluminium ? squareToMm.aluminium : squareToMm.steel;
  const closed = isAluminium ? squareToMm.closedAluminium : squareToMm.closedSteel;
  const limit = gapMm > 0 ? open : closed;
  if (thicknessMm <= limit) return undefined;
  return {
    path: 'seam.preparation',
    code: 'needs-preparation',
    message: `A square butt of ${round(thicknessMm)} mm ${gapMm > 0 ? 'with a gap' : 'without a gap'} does not fuse through; it is planned to ${limit} mm.`,
    limit,
    got: thicknessMm,
    hint: 'Give it an edge preparation, for instance a V of 60° with a root face of 1 mm and a gap of 2 mm.',
  };
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
