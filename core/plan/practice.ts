/** Rules of practice that need no solving: reference current, stick-out, tip recess, gas flow. Sources: fits to general practice; see docs/limits.md. */
import { fillerOf, type FillerCode, type MaterialGroup } from '../consumables/index.ts';

/** Beyond this a fillet is planned in several passes, and thickness no longer raises the current. */
export const singlePassLimitMm = 8;

/** Spread of practice around the reference current; assumed. */
export const referenceCurrentError = 0.1;

/** Reference current in A for a single-pass steel fillet in PB: 52 (t/0.8)^0.70, *fit*. */
export function referenceCurrentA(thicknessMm: number): number {
  return 52 * (Math.min(thicknessMm, singlePassLimitMm) / 0.8) ** 0.7;
}

/** Share of the steel fillet's current that a metal wants, and the words for it. */
export function materialFactor(
  group: MaterialGroup,
  fillerCode: FillerCode,
  thicknessMm: number,
): { factor: number; because: string } {
  if (fillerOf(fillerCode).family === 'copper-silicon')
    return { factor: 0.85, because: 'brazing 0.85 (the base metal must not melt)' };
  if (group === 'stainless') return { factor: 0.9, because: 'stainless 0.90' };
  if (group === 'aluminium') {
    return thicknessMm <= 4
      ? { factor: 0.95, because: 'aluminium to 4 mm 0.95' }
      : { factor: 1, because: 'aluminium over 4 mm 1.00' };
  }
  return { factor: 1, because: 'steel 1.00' };
}

/** Gap factor on current: nothing to 0.5 mm, then 5 % less per further 0.5 mm. */
export function gapFactor(gapMm: number): number {
  return Math.max(1 - 0.05 * (Math.max(gapMm - 0.5, 0) / 0.5), 0.5);
}

/** Widest gap worth welding, mm; beyond it refitting is cheaper. */
export function widestGapMm(thinnerMm: number): number {
  return 0.5 * thinnerMm + 1;
}

/** Stick-out for pulse and spray in mm: 15 at 0.8 mm wire to 20 at 1.6 mm, to the half millimetre. */
export function pulseStickOutMm(diameterMm: number): number {
  const wished = 15 + (5 * (diameterMm - 0.8)) / 0.8;
  return Math.round(Math.min(Math.max(wished, 15), 20) * 2) / 2;
}

/** Range of practice for the stick-out in pulse and spray, mm. */
export const pulseStickOutRangeMm = [15, 20] as const;

/** Gas before the arc and after it, s: usual figures, assumed. */
export const flowBeforeS = 0.2;
export const flowAfterS = 1.5;

/** Stick-out in dip, mm: 10 for wires to 1.0 mm, 12 above. */
export function dipStickOutMm(diameterMm: number): number {
  return diameterMm <= 1.0 ? 10 : 12;
}

export interface GasFlow {
  readonly flowLPerMin: number;
  readonly range: readonly [number, number];
}

/** Gas flow for pulse and spray: 15..18 L/min for steels and brazing, 16..20 for aluminium, rising with the wire; none without gas. */
export function pulseGasFlow(fillerCode: FillerCode, diameterMm: number): GasFlow {
  const filler = fillerOf(fillerCode);
  if (filler.shielding === 'self') return { flowLPerMin: 0, range: [0, 0] };
  const range = filler.family === 'aluminium' ? ([16, 20] as const) : ([15, 18] as const);
  const share = Math.min(Math.max((diameterMm - 0.8) / 0.8, 0), 1);
  return { flowLPerMin: Math.round(range[0] + share * (range[1] - range[0])), range };
}

/** Gas flow in dip: 10 to 12 L/min per millimetre of wire, at least 8 so that no air is drawn in. */
export function dipGasFlow(diameterMm: number): GasFlow {
  return {
    flowLPerMin: Math.max(Math.round(11 * diameterMm), 8),
    range: [Math.max(10 * diameterMm, 8), Math.max(12 * diameterMm, 9)],
  };
}

/** Flow outside which air is missed or drawn in, L/min. */
export const flowLimitsLPerMin = [8, 25] as const;

/** Usual stick-out of a transfer mode, mm. */
export function stickOutMm(mode: 'dip' | 'spray' | 'pulse' | 'double-pulse', diameterMm: number): number {
  return mode === 'dip' ? dipStickOutMm(diameterMm) : pulseStickOutMm(diameterMm);
}
