/** What a weld may look like, written on the seam before the first trial. */
import { throatMm } from '../../setting/bead/index.ts';

export const qualityLevels = ['B', 'C', 'D'] as const;
export type QualityLevel = (typeof qualityLevels)[number];

export const backs = ['none', 'allowed', 'through'] as const;
/** Nothing may come through, something may, or the root must. */
export type BackLimit = (typeof backs)[number];

export interface AcceptanceLimits {
  /** The preset it began as; figures may have been edited since. */
  readonly level: QualityLevel;
  /** On a seam that is not critical, what was not measured is not waited for. */
  readonly isCritical: boolean;
  /** Of a fillet, mm; no most where a larger one does no harm. */
  readonly legMm: { readonly least: number; readonly most: number | null } | null;
  /** Most between the two legs, mm. */
  readonly legDifferenceMm: number | null;
  /** Least throat of a fillet, mm. */
  readonly throatMm: number | null;
  /** Most convexity of a fillet or excess weld metal of a butt, mm. */
  readonly heightMm: number | null;
  /** Deepest undercut, mm. */
  readonly undercutMm: number;
  readonly back: BackLimit;
  /** Most that may stand out at the back, mm. */
  readonly backMm: number | null;
  /** Worst patch of spatter, 0 none to 4. */
  readonly spatter: number;
  /** A root that cannot be seen is proved by a fracture or a macro. */
  readonly rootFusion: boolean;
}

export interface LimitsFor {
  readonly isFillet: boolean;
  /** The thinner plate, mm. */
  readonly thicknessMm: number;
  /** Leg that is asked for, mm; of a fillet. */
  readonly legMm: number;
  readonly back: BackLimit;
  readonly rootFusion: boolean;
}

/** What a rule at the bench cannot tell apart, mm; a leg smaller by less is not refused. */
const readingMm = 0.3;

/**
 * Preset of a level. Source: ISO 5817 (10042 where it differs is left to the editor): throat 5213 and 5214, unequal legs 512, convexity 503, excess weld
 * metal 502, undercut 5011, penetration 504; widths are taken as the leg's chord of a fillet, and as three plates of a butt.
 */
export function usualLimits(level: QualityLevel, seam: LimitsFor): AcceptanceLimits {
  const { isFillet, thicknessMm, legMm } = seam;
  const throat = throatMm(legMm);
  const widthMm = isFillet ? legMm * Math.SQRT2 : 3 * thicknessMm;
  const short = level === 'B' ? 0 : Math.min(0.3 + 0.1 * throat, level === 'C' ? 1 : 2);
  const excess = { B: Math.min(1 + 0.15 * throat, 3), C: Math.min(1 + 0.2 * throat, 4), D: null }[level];
  const least = legMm * (1 - short / throat) - readingMm;
  const height = isFillet
    ? { B: Math.min(1 + 0.1 * widthMm, 3), C: Math.min(1 + 0.15 * widthMm, 4), D: Math.min(1 + 0.25 * widthMm, 5) }
    : { B: Math.min(1 + 0.1 * widthMm, 5), C: Math.min(1 + 0.15 * widthMm, 7), D: Math.min(1 + 0.25 * widthMm, 10) };
  const undercut = {
    B: Math.min(0.05 * thicknessMm, 0.5),
    C: Math.min(0.1 * thicknessMm, 0.5),
    D: Math.min(0.2 * thicknessMm, 1),
  };
  const through = {
    B: Math.min(1 + 0.2 * thicknessMm, 3),
    C: Math.min(1 + 0.6 * thicknessMm, 4),
    D: Math.min(1 + thicknessMm, 5),
  };
  const unequal = { B: 1.5 + 0.15 * throat, C: 2 + 0.15 * throat, D: 2 + 0.2 * throat };
  return {
    level,
    isCritical: true,
    legMm: isFillet
      ? { least: tenths(least), most: excess === null ? null : tenths(legMm * (1 + excess / throat)) }
      : null,
    legDifferenceMm: isFillet ? tenths(unequal[level]) : null,
    throatMm: isFillet ? tenths(throatMm(least)) : null,
    heightMm: tenths(height[level]),
    undercutMm: tenths(undercut[level]),
    back: seam.back,
    backMm: seam.back === 'none' ? null : tenths(through[level]),
    spatter: { B: 1, C: 2, D: 3 }[level],
    rootFusion: seam.rootFusion,
  };
}

function tenths(mm: number): number {
  return Math.round(10 * mm) / 10;
}
