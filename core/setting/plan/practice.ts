/** Rules of practice that need no solving: stick-out, tip recess, gas flow, gaps, times around the arc. Sources: fits to general practice; docs/limits.md. */
import { fillerOf, gasOf, type FillerCode } from '../../metal/consumables/index.ts';
import type { PlanMode } from './mode.ts';

/** A fillet beyond this leg is planned in several passes, mm. */
export const singlePassLimitMm = 8;

/** Spread of practice around the wished current; assumed. */
export const referenceCurrentError = 0.1;

/** Gap factor on current: nothing to 0.5 mm, then 5 % less per further 0.5 mm. */
export function gapFactor(gapMm: number): number {
  return Math.max(1 - 0.05 * (Math.max(gapMm - 0.5, 0) / 0.5), 0.5);
}

/** Widest gap worth welding, mm; beyond it refitting is cheaper. */
export function widestGapMm(thinnerMm: number): number {
  return 0.5 * thinnerMm + 1;
}

const stickOut = {
  dip: { at08: 10, perMm: 10, co2: 2 },
  other: { at08: 11, perMm: 12.5, most: 16, mostThick: 17, thickFromMm: 1.3, sprayOrCored: 2 },
} as const;
/** Wire that the rules for stick-out and gas start from, mm. */
const thinWireMm = 0.8;
/** How far practice moves a stick-out, mm; assumed. */
const stickOutGiveMm = [-2, 3] as const;

/** Usual stick-out of a transfer mode, mm, to the half millimetre. */
export function stickOutMm(mode: PlanMode, diameterMm: number, gasCode?: string): number {
  return Math.round(stickOutSum(mode, diameterMm, gasCode).sumMm * 2) / 2;
}

/** The sum behind a stick-out: base + slope × (wire − 0.8), held, and more for the gas or the mode; all mm. */
export interface StickOutSum {
  readonly baseMm: number;
  readonly perMm: number;
  readonly fromMm: number;
  /** Where the first part is held; null where it is not reached. */
  readonly heldMm: number | null;
  readonly more: { readonly mm: number; readonly why: 'co2' | 'spray' } | null;
  readonly sumMm: number;
}

export function stickOutSum(mode: PlanMode, diameterMm: number, gasCode: string | undefined): StickOutSum {
  const over = Math.max(diameterMm - thinWireMm, 0);
  const isDip = mode === 'dip';
  const { at08: baseMm, perMm } = isDip ? stickOut.dip : stickOut.other;
  const { most, mostThick, thickFromMm, sprayOrCored } = stickOut.other;
  const limit = isDip ? Number.POSITIVE_INFINITY : diameterMm > thickFromMm ? mostThick : most;
  const free = baseMm + perMm * over;
  const inCo2 = isDip && gasCode !== undefined && gasOf(gasCode).co2Pct > 50;
  const more = inCo2
    ? ({ mm: stickOut.dip.co2, why: 'co2' } as const)
    : mode === 'spray' || mode === 'cored'
      ? ({ mm: sprayOrCored, why: 'spray' } as const)
      : null;
  return {
    baseMm,
    perMm,
    fromMm: thinWireMm,
    heldMm: free > limit ? limit : null,
    more,
    sumMm: Math.min(free, limit) + (more?.mm ?? 0),
  };
}

export function stickOutRangeMm(ctwdMm: number): readonly [number, number] {
  return [ctwdMm + stickOutGiveMm[0], ctwdMm + stickOutGiveMm[1]];
}

/** Stick-out for pulse, mm: what a machine that does not know the hand takes for granted. */
export function pulseStickOutMm(diameterMm: number): number {
  return stickOutMm('pulse', diameterMm);
}

export interface GasFlow {
  /** As an argon gauge reads it. */
  readonly flowLPerMin: number;
  readonly range: readonly [number, number];
}

export const flowRule = { at08: 12, perMm: 10, fromMm: thinWireMm, sprayOrCored: 1, give: 2 } as const;

/** Gas flow in L/min: 12 at 0.8 mm wire and 10 more per mm, 1 more in spray and with cored wire; none without gas. */
export function gasFlow(mode: PlanMode, fillerCode: FillerCode, diameterMm: number): GasFlow {
  if (fillerOf(fillerCode).shielding === 'self') return { flowLPerMin: 0, range: [0, 0] };
  const flowLPerMin = Math.round(
    Math.max(flowRule.at08 + flowRule.perMm * (diameterMm - flowRule.fromMm), flowLimitsLPerMin[0]) +
      (mode === 'spray' || mode === 'cored' ? flowRule.sprayOrCored : 0),
  );
  return {
    flowLPerMin,
    range: [Math.max(flowLPerMin - flowRule.give, flowLimitsLPerMin[0]), flowLPerMin + flowRule.give],
  };
}

/** Flow outside which air is missed or drawn in, L/min. */
export const flowLimitsLPerMin = [8, 25] as const;

/** Pauses beside the arc for a wire with slag, s per metre and pass; assumed. */
export const slagSPerM = 60;

export const weaveRule = { fromMm: 4, lessMm: 2, mostMm: 12 } as const;

/** Side-to-side width of the hand going up, mm, for a leg or a groove of that width; narrower than 3 mm it goes straight. Rule of practice, assumed. */
export function weaveMm(isVerticalUp: boolean, widthMm: number): number {
  const { fromMm, lessMm, mostMm } = weaveRule;
  if (!isVerticalUp || widthMm < fromMm) return 0;
  return Math.min(Math.round((widthMm - lessMm) * 2) / 2, mostMm);
}
