/**
 * Edge preparation of a butt: square, V, single bevel, double V, with root face, root gap and backing. Areas are exact geometry plus a cap;
 * angles in degrees (included angle of a V, the bevelled side's own angle of a single bevel), lengths mm, areas mm².
 */
import { message, amount, inSentence, type Phrase, type Said } from '../../base/messages/index.ts';
import { squareButtAreaMm2, squareButt } from '../bead/index.ts';
import { rangeIssues, type Issue } from '../../base/outcome/index.ts';
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
  readonly name: Phrase;
  readonly angleDeg: number;
}[] = [
  { kind: 'square', name: message('plan.square'), angleDeg: 0 },
  { kind: 'v', name: message('plan.v'), angleDeg: 60 },
  { kind: 'bevel', name: message('plan.single-bevel'), angleDeg: 45 },
  { kind: 'double-v', name: message('plan.double-v'), angleDeg: 60 },
];
export const backings: readonly { readonly backing: Backing; readonly name: Phrase }[] = [
  { backing: 'none', name: message('plan.none') },
  { backing: 'strip', name: message('plan.strip-that-stays') },
  { backing: 'ceramic', name: message('plan.ceramic') },
  { backing: 'trough', name: message('plan.copper-trough') },
];
export const usualRootFaceMm = 1;

/** A square butt beyond this thickness is not fused through from one side, mm; without a gap it ends earlier. Rules of practice. */
export const squareToMm = { steel: 4, aluminium: 6, closedSteel: 3, closedAluminium: 5 } as const;

function backingName(backing: Backing): Said {
  return inSentence(backings.find((one) => one.backing === backing)?.name ?? backing);
}

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
): { areaMm2: number; because: Phrase } {
  if (preparation.kind === 'square') return squareArea(thicknessMm, gapMm);
  const groove = grooveOf(preparation, thicknessMm, gapMm);
  const height = bevelHeightMm(groove);
  const bevels = (groove.sides * groove.widening * height * height) / 2;
  const caps = groove.sides * sizeRule.capMm * topWidthMm(groove);
  const sides = groove.sides === 2 ? '2 × ' : '';
  return {
    areaMm2: gapMm * thicknessMm + bevels + caps,
    because: message('plan.because.groove-area', {
      gap: round(gapMm),
      thickness: round(thicknessMm),
      sides,
      widening: round(groove.widening),
      height: round(height),
      cap: sizeRule.capMm,
      groove: round(topWidthMm(groove)),
    }),
  };
}

/** Square butt: the gap and the caps of practice. */
export function squareArea(thicknessMm: number, gapMm: number): { areaMm2: number; because: Phrase } {
  const caps = squareButtAreaMm2(thicknessMm, 0);
  const t = round(thicknessMm);
  return {
    areaMm2: gapMm * thicknessMm + sizeRule.squareButtCaps * caps,
    because: message('plan.square-area', {
      gap: round(gapMm),
      t,
      squareButtCaps: sizeRule.squareButtCaps,
      width: squareButt.width,
      more: squareButt.moreMm,
      rise: squareButt.rise,
      least: squareButt.leastMm,
    }),
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
          ? message('plan.error.backing-joint', { backing: backingName(preparation.backing ?? 'none') })
          : message('plan.error.preparation-joint'),
        limit: 'butt',
        got: backed ? preparation.backing : preparation.kind,
        hint: message('plan.hint.preparation-joint'),
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
      message: message('plan.error.root-face', {
        rootFace: amount('shortLength', rootFaceMm),
        thickness: amount('shortLength', round(thicknessMm)),
        most: amount('shortLength', round(most)),
      }),
      limit: round(most),
      got: rootFaceMm,
      hint: message('plan.hint.root-face'),
    });
  } else if (rootFaceMm < 0.5 && gapMm > openRootToMm && (preparation.backing ?? 'none') === 'none') {
    issues.push({
      path: 'seam.preparation.rootFaceMm',
      code: 'no-root',
      message: message('plan.caution.open-root', {
        rootFace: amount('shortLength', rootFaceMm),
        gap: amount('shortLength', gapMm),
        openRootTo: amount('shortLength', openRootToMm),
      }),
      limit: openRootToMm,
      got: gapMm,
      hint: message('plan.hint.open-root'),
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
    message: message('plan.error.square-butt', {
      thickness: amount('shortLength', round(thicknessMm)),
      gap: gapMm > 0 ? 'open' : 'other',
      limit: amount('shortLength', limit),
    }),
    limit,
    got: thicknessMm,
    hint: message('plan.hint.edge-preparation', {
      rootFace: amount('shortLength', 1),
      gap: amount('shortLength', 2),
    }),
  };
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
