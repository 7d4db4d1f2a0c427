/** Which limits let more pass than before: what was written down for a reference is not softened by whoever welds on it. */
import type { AcceptanceLimits, BackLimit, QualityLevel } from './limits.ts';

export type LimitName = keyof AcceptanceLimits;

/** The stricter, the lower. */
const levelRank: Record<QualityLevel, number> = { B: 0, C: 1, D: 2 };
/** "through" asks for a root: it may come out, and has to. */
const backRank: Record<BackLimit, number> = { none: 0, through: 1, allowed: 2 };

/** A least that falls or leaves lets more pass. */
const fell = (before: number | null, after: number | null) => before !== null && (after === null || after < before);
/** A most that rises or leaves. */
const rose = (before: number | null, after: number | null) => before !== null && (after === null || after > before);

/** Names of the limits that are looser in `after`; empty where each is as strict or stricter. */
export function loosened(before: AcceptanceLimits, after: AcceptanceLimits): LimitName[] {
  const checks: Record<LimitName, boolean> = {
    level: levelRank[after.level] > levelRank[before.level],
    isCritical: before.isCritical && !after.isCritical,
    legMm:
      before.legMm !== null &&
      (after.legMm === null ||
        fell(before.legMm.least, after.legMm.least) ||
        rose(before.legMm.most, after.legMm.most)),
    legDifferenceMm: rose(before.legDifferenceMm, after.legDifferenceMm),
    throatMm: fell(before.throatMm, after.throatMm),
    heightMm: rose(before.heightMm, after.heightMm),
    undercutMm: rose(before.undercutMm, after.undercutMm),
    back: backRank[after.back] > backRank[before.back],
    // Nothing may come out where `back` is none, whatever figure stands beside it.
    backMm: before.back !== 'none' && rose(before.backMm, after.backMm),
    spatter: rose(before.spatter, after.spatter),
    rootFusion: before.rootFusion && !after.rootFusion,
  };
  return (Object.keys(checks) as LimitName[]).filter((name) => checks[name]);
}
