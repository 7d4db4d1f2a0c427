/** Arc length a plan aims at, by the chosen habit: what the joint wants, or the wire's own line. Rules of practice. */
import { pulseLineMm, type WireInGas } from '../../metal/arc/index.ts';
import { arcIntents } from './arc-intents.ts';
import type { PlanInput } from './input.ts';
import { jointRule } from './joints.ts';
import { isGroove } from './preparation.ts';

export interface ArcTarget {
  readonly arcLengthMm: number;
  readonly lineMm: number;
  /** Shortest and longest that practice allows here, mm. */
  readonly range: readonly [number, number];
  readonly why: 'line' | 'joint' | 'intent' | 'gap' | 'brazing';
}

/** A gap wider than this wants the long arc, mm. */
const wideGapMm = 0.5;
const longArcMm = [4.5, 6] as const;
/** How far practice moves the line by ear, mm; assumed. */
const byEarMm = 0.5;

export function arcTarget(input: PlanInput, wire: WireInGas): ArcTarget {
  const lineMm = pulseLineMm(wire.family, wire.diameterMm);
  if (input.arcHabit === 'on-line') {
    return { arcLengthMm: lineMm, lineMm, range: [lineMm - byEarMm, lineMm + byEarMm], why: 'line' };
  }
  const meant = arcIntents.find(({ intent }) => intent === input.seam.arcIntent);
  if (meant) {
    const [from, to] = meant.arcMm;
    return { arcLengthMm: (from + to) / 2, lineMm, range: meant.arcMm, why: 'intent' };
  }
  // In a groove the gap is the root's, and the arc has to reach it.
  const gap = input.seam.gapMm > wideGapMm && !isGroove(input.seam.preparation);
  const [shortest, longest] = gap ? longArcMm : jointRule(input.seam.joint).arcMm;
  const middleMm = (shortest + longest) / 2;
  if (wire.family === 'copper-silicon' && middleMm < lineMm) {
    return { arcLengthMm: lineMm, lineMm, range: [shortest, lineMm + byEarMm], why: 'brazing' };
  }
  return { arcLengthMm: middleMm, lineMm, range: [shortest, longest], why: gap ? 'gap' : 'joint' };
}
