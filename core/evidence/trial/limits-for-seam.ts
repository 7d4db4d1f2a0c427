/** The preset for a seam as it is described and planned. */
import { jointRule, type Joint, type PlanMode, type Position, thinnerMm } from '../../setting/plan/index.ts';
import { usualLimits, type AcceptanceLimits, type BackLimit, type QualityLevel } from './limits.ts';

export interface SeamForLimits {
  readonly joint: Joint;
  readonly position: Position;
  readonly thicknessesMm: readonly [number, number];
  readonly backing: boolean;
  /** Edges were cut for it; a square butt of thin tube is not opened to be looked at from behind. */
  readonly isPrepared: boolean;
  readonly mode: PlanMode;
  /** Leg that is asked for or planned; null where there is none. */
  readonly legMm: number | null;
}

/** Level most seams of a small shop are made to. */
export const usualLevel: QualityLevel = 'C';

export function limitsForSeam(level: QualityLevel, seam: SeamForLimits): AcceptanceLimits {
  const { isFillet } = jointRule(seam.joint);
  const thicknessMm = thinnerMm(seam.thicknessesMm);
  return usualLimits(level, {
    isFillet,
    thicknessMm,
    legMm: seam.legMm ?? thicknessMm,
    back: backFor(seam),
    // In dip and vertical-down a root that has not fused cannot be seen.
    rootFusion: seam.mode === 'dip' || seam.position === 'PG',
  });
}

function backFor({ joint, backing, isPrepared }: SeamForLimits): BackLimit {
  if (joint === 'butt') return isPrepared && !backing ? 'through' : 'allowed';
  return joint === 'tee' || joint === 'lap' ? 'none' : 'allowed';
}
